import { wrap, type Remote } from 'comlink';
import { useEffect, useSyncExternalStore } from 'react';
import { useEditor } from '../editor/editor';
import { Channel, type Answer } from './channel';
import type { Planning } from './planning.worker';
import type { Slow, SlowName } from './slow';

/** A new document rests so long before it is asked for, ms. */
const REST: Readonly<Record<SlowName, number>> = {
  details: 80,
  fit: 200,
  clearances: 350,
  sweptFindings: 350,
  work: 60,
  checkList: 60,
  checkResults: 60,
  checked: 120,
  workFindings: 350,
};

let worker: Remote<Planning> | undefined;
/** One worker for as long as the application runs. */
export function planning(): Remote<Planning> {
  worker ??= wrap<Planning>(
    new Worker(new URL('./planning.worker.ts', import.meta.url), { type: 'module', name: 'planning' }),
  );
  return worker;
}

/** Channels of the open build; another build begins anew. */
let open: { readonly build: string; readonly channels: Map<SlowName, Channel<unknown>> } | undefined;

function channelOf<N extends SlowName>(build: string, name: N): Channel<Slow<N>> {
  if (open?.build !== build) open = { build, channels: new Map() };
  const known = open.channels.get(name) as Channel<Slow<N>> | undefined;
  if (known) return known;
  const channel = new Channel((document) => planning().ask(name, document) as Promise<Slow<N>>, REST[name]);
  open.channels.set(name, channel);
  return channel;
}

/** What a slow stage makes of the open build, worked out beside the page; not while something is dragged. */
export function useSlow<N extends SlowName>(name: N): Answer<Slow<N>> {
  const { build, document, dragging } = useEditor('build', 'document', 'dragging');
  const channel = channelOf(build.id, name);
  useEffect(() => {
    if (!dragging) channel.want(document);
  }, [channel, document, dragging]);
  return useSyncExternalStore(channel.subscribe, channel.now);
}
