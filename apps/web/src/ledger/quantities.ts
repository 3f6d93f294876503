import {
  editableAngle,
  editableLength,
  editableMass,
  formatAngle,
  formatLength,
  formatMass,
  massUnitOf,
  parseAngle,
  parseLength,
  parseGauge,
  parseMass,
  POUND,
  type LengthDisplay,
  type Result,
} from '@larchwood/core';

export type FieldQuantity = 'length' | 'angle' | 'mass' | 'roundWall' | 'boxWall';

/** How a quantity is typed and shown in a build's units. */
export interface Reader {
  readonly parse: (text: string) => Result<number>;
  /** Rounded, without its unit. */
  readonly shown: (value: number, digits: number) => string;
  /** As it stands in a field in hand: reads back to the same value. */
  readonly editable: (value: number) => string;
  readonly unit: string;
  /** The unit as it is read out. */
  readonly spoken: string;
  /** What one press of an arrow key adds. */
  readonly step: number;
}

const THIRTY_SECOND = 25.4 / 32;

const ANGLE: Reader = {
  parse: parseAngle,
  shown: (value, digits) => formatAngle(value, digits, true),
  editable: editableAngle,
  unit: '°',
  spoken: 'degrees',
  step: 0.1,
};
const massReader = (display: LengthDisplay): Reader => {
  const unit = massUnitOf(display);
  return {
    parse: (text) => parseMass(text, unit),
    shown: (value, digits) => formatMass(value, display, digits, true),
    editable: (value) => editableMass(value, display),
    unit,
    spoken: unit === 'kg' ? 'kg' : 'pounds',
    step: unit === 'kg' ? 1 : POUND,
  };
};

export function readerOf(quantity: FieldQuantity, display: LengthDisplay): Reader {
  if (quantity === 'angle') return ANGLE;
  if (quantity === 'mass') return massReader(display);
  const unit = display.length === 'mm' ? 'mm' : 'in';
  const table = quantity === 'roundWall' ? 'Birmingham' : 'sheet';
  return {
    parse: (text) => {
      const gauge = quantity === 'length' ? undefined : parseGauge(text, table);
      return gauge ?? parseLength(text, display.length);
    },
    shown: (value, digits) => formatLength(value, display, digits, true),
    editable: (value) => editableLength(value, display),
    unit,
    spoken: unit,
    step: display.length === 'mm' ? 1 : THIRTY_SECOND,
  };
}
