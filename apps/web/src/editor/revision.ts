import { useEditor } from './editor';

/** What paper says of the build that it was made from: its revision and date, and whether it has changed since. */
export function useRevisionText(): string {
  const { build, save } = useEditor('build', 'save');
  const saved = `revision ${build.revision}, ${build.savedAt.slice(0, 10)}`;
  return save.is === 'saved' ? saved : `changed after ${saved}`;
}
