import { Download } from 'lucide-react';
import { outputOf } from '@larchwood/outputs';
import { Button } from '../parts/Button';
import { useFiles } from './useFiles';

/** Makes one file of the open build. */
export function OutputButton({ id }: { readonly id: string }) {
  const { busy, make } = useFiles();
  const output = outputOf(id);
  return (
    <Button disabled={busy !== undefined} onClick={() => void make(output)}>
      <Download size={15} aria-hidden /> {output.title}
    </Button>
  );
}
