import { Download } from 'lucide-react';
import { useEditor } from '../editor/editor';
import { useRevisionText } from '../editor/revision';
import { Button } from '../parts/Button';
import { outputOf } from '@larchwood/outputs';
import type { FixtureDetails, Plan } from '@larchwood/core';
import { useShop } from '../shop/useShop';
import { useFiles } from './useFiles';

/** Makes one file of the open build that needs nothing of its fixture. */
export function OutputButton({ id, plan }: { readonly id: string; readonly plan: Plan }) {
  const { document } = useEditor('document');
  const revision = useRevisionText();
  const { busy, make } = useFiles();
  const { shop } = useShop();
  const output = outputOf(id);
  const details = (): FixtureDetails => {
    throw new RangeError('This file needs nothing of the fixture.');
  };
  return (
    <Button
      disabled={busy !== undefined}
      onClick={() => void make(output, { document, plan, details, revision, shop })}
    >
      <Download size={15} aria-hidden /> {output.title}
    </Button>
  );
}
