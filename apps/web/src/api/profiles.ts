import type { StoredProfile } from '@larchwood/contract';
import type { Profile } from '@larchwood/format';
import { request } from './client';

export const profiles = {
  list: () => request<StoredProfile[]>('GET', 'profiles'),
  save: (profile: Profile) => request<StoredProfile>('POST', 'profiles', { profile }),
  remove: (id: number) => request<undefined>('DELETE', `profiles/${id}`),
};
