import { Download, Redo2, Undo2 } from 'lucide-react';
import { memo } from 'react';
import { Link, useNavigate } from 'react-router';
import { documentFileName, documentText, type BuildDocument } from '@larchwood/format';
import { Button, IconButton } from '../parts/Button';
import { Choice } from '../parts/Choice';
import { download } from '../files/download';
import { NameField } from '../parts/NameField';
import { Larch } from '../parts/Marks';
import { ThemeButton } from '../parts/ThemeButton';
import { useEditor, type Editor } from '../editor/editor';
import { Shortcuts } from '../editor/Shortcuts';
import { UNITS, unitsOf, unitsValue } from '../editor/units';

export function BuildHeader() {
  const { build, document, present, edit, settle, undo, redo, canUndo, canRedo } = useEditor(
    'build',
    'document',
    'present',
    'edit',
    'settle',
    'undo',
    'redo',
    'canUndo',
    'canRedo',
  );
  return (
    <header className="flex h-11 shrink-0 items-center border-b-2 border-ink contain-content max-[640px]:overflow-hidden print:hidden">
      <Home />
      <BuildName />
      <span className="caption ml-3 whitespace-nowrap max-[900px]:hidden">revision {build.revision}</span>
      <div className="flex-1" />
      <SaveMark />
      <Tools
        id={build.id}
        units={document.units}
        {...{ present, edit, settle, undo, redo, canUndo, canRedo }}
      />
    </header>
  );
}

const Home = memo(function Home() {
  return (
    <Link
      to="/"
      className="flex h-full w-44 shrink-0 items-center gap-2 pl-4 text-[17px] font-bold max-[900px]:w-11"
      title="To the workshop"
      aria-label="Larchwood: to the workshop"
    >
      <Larch size={22} /> <span className="max-[900px]:hidden">Larchwood</span>
    </Link>
  );
});

interface ToolsProps extends Pick<
  Editor,
  'present' | 'edit' | 'settle' | 'undo' | 'redo' | 'canUndo' | 'canRedo'
> {
  readonly id: string;
  readonly units: BuildDocument['units'];
}

const Tools = memo(function Tools({
  id,
  units,
  present,
  edit,
  settle,
  undo,
  redo,
  canUndo,
  canRedo,
}: ToolsProps) {
  const navigate = useNavigate();
  const setUnits = (value: string) => {
    edit('units', (before) => ({ ...before, units: unitsOf(value, before.units) }));
    settle();
  };
  const exportFile = () =>
    download(documentText(present()), 'application/json', documentFileName(present().name));
  return (
    <>
      <div className="mx-2 flex">
        <IconButton name="Undo" disabled={!canUndo} onClick={undo}>
          <Undo2 size={17} aria-hidden />
        </IconButton>
        <IconButton name="Redo" disabled={!canRedo} onClick={redo}>
          <Redo2 size={17} aria-hidden />
        </IconButton>
        <IconButton name="Export as a file" onClick={exportFile}>
          <Download size={17} aria-hidden />
        </IconButton>
        <ThemeButton />
        <Shortcuts />
      </div>
      <span className="max-[640px]:hidden">
        <Choice
          label="Display units"
          value={unitsValue(units)}
          groups={[{ options: UNITS }]}
          onChange={setUnits}
        />
      </span>
      <Button className="mx-3 max-[900px]:hidden" onClick={() => navigate(`/builds/${id}/patterns`)}>
        Print patterns
      </Button>
    </>
  );
});

function BuildName() {
  const { document, edit, settle } = useEditor('document', 'edit', 'settle');
  const rename = (name: string) => {
    edit('name', (before) => ({ ...before, name }));
    settle();
  };
  return (
    <NameField
      label="Name of the build"
      name={document.name}
      onName={rename}
      className="max-w-80 min-w-24 truncate border-transparent bg-transparent text-[15px] field-sizing-content hover:border-rule focus:bg-sheet"
    />
  );
}

const KEPT = 'Kept in this browser; trying again.';
const NOT_KEPT = 'This browser keeps nothing: leave the page open. Trying again.';

function SaveMark() {
  const { save } = useEditor('save');
  const time = (iso: string) => new Date(iso).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' });
  const words = {
    saved: save.is === 'saved' ? `Saved ${time(save.at)}` : '',
    saving: 'Saving…',
    waiting: save.is === 'waiting' ? `${save.message} ${save.kept ? KEPT : NOT_KEPT}` : '',
    gone: 'Deleted somewhere else.',
    conflict: 'Saved elsewhere too',
  }[save.is];
  return (
    <span
      role="status"
      className={`text-[13px] whitespace-nowrap max-[640px]:truncate ${save.is !== 'saved' && save.is !== 'saving' ? 'font-semibold text-brick' : 'text-quiet'}`}
    >
      {words}
    </span>
  );
}
