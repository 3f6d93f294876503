import { nanoid } from 'nanoid';

/** This window, from its loading to its end; no other has this name. */
export const WINDOW = nanoid();

/** A living window answers well within this; ms. */
const ANSWER = 150;

type Message = { readonly ask: true } | { readonly alive: string };

// Windows of one browser hear each other; where they cannot, each takes itself for the only one.
const channel =
  typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel('larchwood:windows');
channel?.addEventListener('message', ({ data }: MessageEvent<Message>) => {
  if ('ask' in data) channel.postMessage({ alive: WINDOW } satisfies Message);
});

/** Names of the windows of this browser that are open now, this one among them. */
export async function openWindows(): Promise<ReadonlySet<string>> {
  const found = new Set([WINDOW]);
  if (channel === undefined) return found;
  const hear = ({ data }: MessageEvent<Message>) => {
    if ('alive' in data) found.add(data.alive);
  };
  channel.addEventListener('message', hear);
  channel.postMessage({ ask: true } satisfies Message);
  await new Promise((done) => setTimeout(done, ANSWER));
  channel.removeEventListener('message', hear);
  return found;
}
