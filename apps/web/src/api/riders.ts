import type { SaveRiderRequest, StoredRider } from '@larchwood/contract';
import { request } from './client';

export const riders = {
  list: () => request<StoredRider[]>('GET', 'riders'),
  save: (rider: SaveRiderRequest) => request<StoredRider>('POST', 'riders', rider),
  remove: (id: number) => request<undefined>('DELETE', `riders/${id}`),
};
