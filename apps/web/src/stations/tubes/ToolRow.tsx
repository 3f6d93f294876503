import { MousePointer2, Spline } from 'lucide-react';
import { SECTION_LIBRARY } from '@larchwood/core';
import { useEditor } from '../../editor/editor';
import { Button } from '../../parts/Button';
import { ByName } from './ByName';
import { SectionChoice } from './SectionChoice';
import { useTools } from '../../space/tools';

/** What a press on the drawing does, and what a new tube is made of. */
export function ToolRow() {
  const { document } = useEditor('document');
  const { tool, setTool, begun, section, setSection, message } = useTools();
  const drawing = tool === 'tube';
  const known =
    SECTION_LIBRARY.some(({ sections }) => sections.some(({ id }) => id === section)) ||
    document.frame.sections.some(({ id }) => id === section);
  return (
    <div
      role="toolbar"
      aria-label="Tools"
      className="flex min-h-10 shrink-0 flex-wrap items-center gap-2 border-b border-rule px-3 py-1"
    >
      <Button look={drawing ? 'quiet' : 'plain'} aria-pressed={!drawing} onClick={() => setTool('pick')}>
        <MousePointer2 size={15} aria-hidden /> Pick
      </Button>
      <Button look={drawing ? 'plain' : 'quiet'} aria-pressed={drawing} onClick={() => setTool('tube')}>
        <Spline size={15} aria-hidden /> Add a tube
      </Button>
      {drawing && known && (
        <SectionChoice
          label="Section of the new tube"
          value={section}
          onChange={setSection}
          className="w-44"
        />
      )}
      {drawing && <ByName />}
      <p
        role="status"
        className={`min-w-0 flex-1 text-[13px] ${message === '' ? 'text-quiet' : 'text-brick'}`}
      >
        {message !== ''
          ? message
          : drawing
            ? begun
              ? 'Press where it ends, on a node or a tube.'
              : 'Press where it begins, on a node or a tube.'
            : 'Press a tube; with Shift, one more.'}
      </p>
    </div>
  );
}
