import type { FoundNests } from '@larchwood/core';
import { useEditor } from '../editor/editor';
import { useKept } from '../parts/useKept';

const NONE: FoundNests = {};

/** Nests of this build that were looked for; files are made by them, too. */
export const useFoundNests = () => {
  const { build } = useEditor('build');
  return useKept<FoundNests>(`nests ${build.id}`, NONE);
};
