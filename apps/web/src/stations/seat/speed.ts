import type { LengthDisplay } from '@larchwood/core';

/** Speeds are told in the road's units: km/h on a millimetre build, mph on an inch one. */
export const speedUnit = ({ length }: LengthDisplay): string => (length === 'mm' ? 'km/h' : 'mph');
export const speedText = (metresPerSecond: number, { length }: LengthDisplay): string =>
  (metresPerSecond * (length === 'mm' ? 3.6 : 2.236936)).toFixed(0);
