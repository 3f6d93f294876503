import { FileInput } from 'lucide-react';
import { useRef, useState } from 'react';
import { LARGEST_IMPORT, type DrawnFile } from '@larchwood/core';
import { useEditor } from '../../editor/editor';
import { fileText } from '../../parts/fileText';
import { Button } from '../../parts/Button';
import { forget, useKept } from '../../parts/useKept';
import { DrawingIn } from './DrawingIn';
import { readDrawingApart } from './readDrawingApart';
import { TableIn } from './TableIn';

type Brought =
  | { readonly is: 'drawing'; readonly name: string; readonly text: string; readonly drawn: DrawnFile }
  | { readonly is: 'table'; readonly name: string; readonly text: string };

/** Files of other programs: shown as they were understood before anything changes, and undone with one step. */
export function BringInView() {
  const input = useRef<HTMLInputElement>(null);
  const { build } = useEditor('build');
  const kept = `${build.id}/brought in`;
  const [brought, setBrought] = useKept<Brought | undefined>(kept, undefined);
  const [refused, setRefused] = useState<string>();
  const [reading, setReading] = useState(false);
  const take = async (file: File) => {
    forget(kept);
    setRefused(undefined);
    const refuse = (why: string) => setRefused(`${file.name}: ${why}`);
    if (file.size > LARGEST_IMPORT)
      return refuse(
        `It is ${(file.size / 1e6).toFixed(1)} MB; centre lines or a table are never more than 5 MB.`,
      );
    setReading(true);
    try {
      const text = await fileText(file);
      if (/\.dxf$/i.test(file.name)) {
        const drawn = await readDrawingApart(text, undefined);
        if (!drawn.ok) return refuse(drawn.message);
        setBrought({ is: 'drawing', name: file.name, text, drawn: drawn.value });
      } else if (/\.(csv|tsv|txt)$/i.test(file.name)) {
        setBrought({ is: 'table', name: file.name, text });
      } else
        refuse(
          'Drawings (.dxf) and tables (.csv) can be brought in. A build’s own file is opened in the workshop.',
        );
    } finally {
      setReading(false);
    }
  };
  const choose = (
    <>
      <input
        ref={input}
        type="file"
        accept=".dxf,.csv,.tsv,.txt"
        className="hidden"
        aria-label="File to bring in"
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          event.target.value = '';
          if (file) void take(file);
        }}
      />
      <Button look={brought ? 'plain' : 'strong'} disabled={reading} onClick={() => input.current?.click()}>
        <FileInput size={16} aria-hidden /> {reading ? 'Reading…' : 'Choose a file'}
      </Button>
    </>
  );
  const leave = () => forget(kept);
  if (brought?.is === 'drawing')
    return (
      <DrawingIn
        key={brought.name + brought.text.length}
        {...brought}
        kept={kept}
        choose={choose}
        leave={leave}
      />
    );
  if (brought?.is === 'table')
    return <TableIn name={brought.name} text={brought.text} choose={choose} leave={leave} />;
  return (
    <div className="min-w-0 flex-1 overflow-auto bg-sheet p-8">
      {refused !== undefined && (
        <p role="alert" className="mb-4 max-w-2xl border-l-4 border-brick px-3 py-1">
          {refused} Nothing was changed.
        </p>
      )}
      {choose}
      <dl className="mt-6 max-w-2xl space-y-4">
        <div>
          <dt className="font-bold">Centre lines, DXF</dt>
          <dd>
            Lines, arcs and polylines become tubes with their bends. Each layer has its plane and its section;
            where ends meet, they are cut to fit.
          </dd>
        </div>
        <div>
          <dt className="font-bold">Tube sections, CSV</dt>
          <dd>
            Heads in the first row:{' '}
            <span className="figure">name, shape, diameter (or width), height, wall</span> and, for boxes,{' '}
            <span className="figure">corner</span>. They go into the workshop’s list, for every build.
          </dd>
        </div>
        <div>
          <dt className="font-bold">Logs of a gauge and of wheel scales, CSV</dt>
          <dd>
            The number or name of the measure, or the wheel, and what it read; several rows of one come to
            their mean.
          </dd>
        </div>
        <div>
          <dt className="font-bold">Dimensions, CSV</dt>
          <dd>
            One row each: name, value, unit. <span className="figure">Head angle, 72, deg</span> or{' '}
            <span className="figure">Wheelbase, 41 1/2, in</span>; units may be mixed. Each is held.
          </dd>
        </div>
      </dl>
      <p className="caption mt-6 max-w-2xl">
        You see what was understood, and what was not, before anything changes. One undo takes it all back.
      </p>
    </div>
  );
}
