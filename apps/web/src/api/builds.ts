import type {
  BuildSummary,
  CreateBuildRequest,
  MarkRevisionRequest,
  RevisionSummary,
  SaveBuildRequest,
  StoredBuild,
  StoredRevision,
} from '@larchwood/contract';
import { request } from './client';

export const builds = {
  /** A page of the list, from an entry on. */
  list: (from = 0) => request<BuildSummary[]>('GET', from === 0 ? 'builds' : `builds?from=${from}`),
  get: (id: string) => request<StoredBuild>('GET', `builds/${id}`),
  create: (body: CreateBuildRequest) => request<StoredBuild>('POST', 'builds', body),
  importText: (text: string) => request<StoredBuild>('POST', 'builds/import', text),
  save: (id: string, save: SaveBuildRequest) => request<StoredBuild>('PUT', `builds/${id}`, save),
  rename: (id: string, name: string) => request<StoredBuild>('PATCH', `builds/${id}`, { name }),
  remove: (id: string) => request<undefined>('DELETE', `builds/${id}`),
  bringBack: (id: string) => request<StoredBuild>('POST', `builds/${id}/bring-back`),
  duplicate: (id: string) => request<StoredBuild>('POST', `builds/${id}/duplicate`),
  revisions: (id: string, from = 0) =>
    request<RevisionSummary[]>('GET', `builds/${id}/revisions?from=${from}`),
  mark: (id: string, revision: number, mark: MarkRevisionRequest) =>
    request<RevisionSummary>('PATCH', `builds/${id}/revisions/${revision}`, mark),
  revision: (id: string, number: number) =>
    request<StoredRevision>('GET', `builds/${id}/revisions/${number}`),
  restore: (id: string, revision: number) =>
    request<StoredBuild>('POST', `builds/${id}/restore`, { revision }),
  /** Server-sent events: what is saved or deleted of a build. */
  eventsUrl: (id: string) => `/api/builds/${id}/events`,
  exportUrl: (id: string) => `/api/builds/${id}/export`,
};
