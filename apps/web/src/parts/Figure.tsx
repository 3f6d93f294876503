import { formatAngle, formatMass, lengthText, massUnitOf, type LengthDisplay } from '@larchwood/core';

/** A length set as figures: a fraction as a fraction, the unit smaller beside it. */
export function Length({
  mm,
  display,
  digits = 1,
  unit = true,
}: {
  readonly mm: number;
  readonly display: LengthDisplay;
  readonly digits?: number;
  readonly unit?: boolean;
}) {
  const { sign, whole, numerator, denominator, unit: name } = lengthText(mm, display, digits);
  return (
    <span className="figure whitespace-nowrap">
      {sign}
      {whole}
      {numerator !== undefined && (
        <Fraction numerator={numerator} denominator={denominator!} spaced={whole !== ''} />
      )}
      {unit && <span className="ml-1 font-sans text-[max(12px,0.78em)] font-normal text-quiet">{name}</span>}
    </span>
  );
}

function Fraction({
  numerator,
  denominator,
  spaced,
}: {
  readonly numerator: number;
  readonly denominator: number;
  readonly spaced: boolean;
}) {
  return (
    <span className={spaced ? 'ml-[0.2em]' : ''}>
      <span className="relative -top-[0.28em] text-[max(12px,0.68em)]">{numerator}</span>⁄
      <span className="text-[max(12px,0.68em)]">{denominator}</span>
    </span>
  );
}

export function Angle({ degrees, digits = 1 }: { readonly degrees: number; readonly digits?: number }) {
  return <span className="figure whitespace-nowrap">{formatAngle(degrees, digits)}</span>;
}

/** A mass in the build's unit. */
export function Mass({
  kg,
  display,
  digits = 1,
}: {
  readonly kg: number;
  readonly display: LengthDisplay;
  readonly digits?: number;
}) {
  return (
    <span className="figure whitespace-nowrap">
      {formatMass(kg, display, digits, true)}
      <span className="ml-1 font-sans text-[max(12px,0.78em)] font-normal text-quiet">
        {massUnitOf(display)}
      </span>
    </span>
  );
}

export function Measure({
  value,
  quantity,
  display,
  digits,
}: {
  readonly value: number;
  readonly quantity: 'length' | 'angle';
  readonly display: LengthDisplay;
  readonly digits?: number;
}) {
  return quantity === 'angle' ? (
    <Angle degrees={value} digits={digits ?? 1} />
  ) : (
    <Length mm={value} display={display} digits={digits ?? 1} />
  );
}
