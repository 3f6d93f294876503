import type { BuildNotice, ChangeNotice, ShopNotice } from '@larchwood/contract';
import { builds } from '../api/builds';

interface Ears {
  readonly heard: (notice: BuildNotice) => void;
  /** The workshop's lists were changed. */
  readonly heardOfLists: (notice: ShopNotice) => void;
  /** The line was down, or the window was hidden: something may have been missed. */
  readonly again: () => void;
}

/** A refused line is tried again after so long; ms. */
const REFUSED = 5000;

/**
 * Listens to what is saved of a build and of the workshop's lists, as long as the window is seen: a browser has few lines to one server, and windows
 * behind others must not take them all.
 * @returns what ends it
 */
export function listen(id: string, { heard, heardOfLists, again }: Ears): () => void {
  let line: EventSource | undefined;
  let opened = 0;
  let later: ReturnType<typeof setTimeout> | undefined;
  const hangUp = () => {
    clearTimeout(later);
    line?.close();
    line = undefined;
  };
  const follow = () => {
    if (document.visibilityState === 'hidden') hangUp();
    else if (line === undefined) {
      line = new EventSource(builds.eventsUrl(id));
      line.addEventListener('message', ({ data }: MessageEvent<string>) => {
        const notice = noticeIn(data);
        if (notice && 'shop' in notice) heardOfLists(notice);
        else if (notice) heard(notice);
      });
      line.addEventListener('open', () => {
        if (opened++ > 0) again();
      });
      // A lost line comes back by itself; a refused one does not, as while a passcode is wanted.
      line.addEventListener('error', () => {
        if (line?.readyState !== EventSource.CLOSED) return;
        hangUp();
        later = setTimeout(follow, REFUSED);
      });
    }
  };
  follow();
  document.addEventListener('visibilitychange', follow);
  return () => {
    document.removeEventListener('visibilitychange', follow);
    hangUp();
  };
}

function noticeIn(data: string): ChangeNotice | undefined {
  try {
    const value = JSON.parse(data) as unknown;
    return typeof value === 'object' && value !== null && ('id' in value || 'shop' in value)
      ? (value as ChangeNotice)
      : undefined;
  } catch {
    return undefined;
  }
}
