import type { Edition } from '@larchwood/outputs';
import { useEditor } from './editor';

/** What paper says of the build that it was made from: its revision and date, and whether it has changed since. */
export function useRevisionText(): string {
  const { build, save } = useEditor('build', 'save');
  const saved = `revision ${build.revision}, ${build.savedAt.slice(0, 10)}`;
  return save.is === 'saved' ? saved : `changed after ${saved}`;
}

/** The same, for names of files. */
export function useEdition(): Edition {
  const { build, save } = useEditor('build', 'save');
  const mark = `r${build.revision}`;
  return { mark: save.is === 'saved' ? mark : `after-${mark}`, date: build.savedAt.slice(0, 10) };
}
