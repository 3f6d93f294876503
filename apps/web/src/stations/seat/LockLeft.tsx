import { asSentence, formatAngle, type Clearances } from '@larchwood/core';

/** How far the steering turns before the first touch. */
export function LockLeft({ steer, a, b }: NonNullable<Clearances['lockLeft']>) {
  return (
    <p className="border-b border-rule px-4 pb-2" role="status">
      {steer < 0.05 ? (
        <>
          {asSentence(a)} is in {b} straight ahead.
        </>
      ) : (
        <>
          <b className="figure">{formatAngle(steer, 1)}</b> of lock are left: then {a} touches {b}.
        </>
      )}
    </p>
  );
}
