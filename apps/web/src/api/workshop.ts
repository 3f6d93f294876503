import type { BackupSummary, DoorState, Keeping, Role, TakenIn } from '@larchwood/contract';
import { request } from './client';

/** How the workshop's file is kept. */
export const workshop = {
  keeping: () => request<Keeping>('GET', 'workshop'),
  thin: (thinning: boolean) => request<undefined>('PUT', 'workshop', { thinning }),
  backUp: () => request<BackupSummary>('POST', 'workshop/backups'),
  takeIn: (zip: Blob) => request<TakenIn>('POST', 'workshop/zip', zip),
  zipUrl: '/api/workshop/zip',
};

/** Who may come in. */
export const door = {
  state: () => request<DoorState>('GET', 'door'),
  enter: (passcode: string) => request<DoorState>('POST', 'door', { passcode }),
  leave: () => request<undefined>('DELETE', 'door'),
  allOut: () => request<undefined>('DELETE', 'door/all'),
  setPasscode: (role: Role, passcode: string) =>
    request<undefined>('PUT', 'door/passcode', { role, passcode }),
};
