import type {
  BuildSummary,
  CreateBuildRequest,
  RevisionSummary,
  StoredBuild,
  StoredRevision,
} from '@larchwood/contract';
import type { BuildDocument } from '@larchwood/format';
import { request } from './client';

export const builds = {
  list: () => request<BuildSummary[]>('GET', 'builds'),
  get: (id: string) => request<StoredBuild>('GET', `builds/${id}`),
  create: (body: CreateBuildRequest) => request<StoredBuild>('POST', 'builds', body),
  importText: (text: string) => request<StoredBuild>('POST', 'builds/import', text),
  save: (id: string, revision: number, document: BuildDocument, saveId: string) =>
    request<StoredBuild>('PUT', `builds/${id}`, { revision, document, saveId }),
  rename: (id: string, name: string) => request<StoredBuild>('PATCH', `builds/${id}`, { name }),
  remove: (id: string) => request<undefined>('DELETE', `builds/${id}`),
  bringBack: (id: string) => request<StoredBuild>('POST', `builds/${id}/bring-back`),
  duplicate: (id: string) => request<StoredBuild>('POST', `builds/${id}/duplicate`),
  revisions: (id: string) => request<RevisionSummary[]>('GET', `builds/${id}/revisions`),
  revision: (id: string, number: number) =>
    request<StoredRevision>('GET', `builds/${id}/revisions/${number}`),
  restore: (id: string, revision: number) =>
    request<StoredBuild>('POST', `builds/${id}/restore`, { revision }),
  exportUrl: (id: string) => `/api/builds/${id}/export`,
};
