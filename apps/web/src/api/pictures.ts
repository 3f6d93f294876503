import { request } from './client';

/** Pictures of the log. */
export const pictures = {
  keep: (picture: Blob) => request<{ readonly id: string }>('POST', 'pictures', picture),
  remove: (id: string) => request<undefined>('DELETE', `pictures/${id}`),
  /** Where one is shown from. */
  url: (id: string) => `/api/pictures/${id}`,
};
