import type { ReactNode } from 'react';
import type { Dimension } from '@larchwood/core';
import { Pop } from '../parts/Pop';
import { LetGo } from './LetGo';

interface Props {
  readonly dimension: Dimension;
  readonly children: ReactNode;
  readonly className?: string;
  readonly label: string;
}

/** A following dimension's peg or figure; pressed, it offers to hold it and asks what is let go for it. */
export function HoldMenu({ dimension, children, className = '', label }: Props) {
  return (
    <Pop trigger={children} label={label} className={className} wide="w-[24rem]">
      {(close) => <LetGo dimension={dimension} onDone={close} />}
    </Pop>
  );
}
