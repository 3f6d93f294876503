import { CHECK_STAGE_IDS } from '@larchwood/format';
import { useStore } from 'zustand';
import { doorStore } from '../api/doorStore';

/** What is typed at the bench: what a setting or a measure was found to read. */
const AT_BENCH = ['bench.', 'fixture.found.', ...CHECK_STAGE_IDS.map((stage) => `checks.${stage}.`)] as const;

/** Said where a field is not to be typed in. */
export const NOT_HERE = 'A builder’s passcode changes this.';

/** Whether who is let in may change what a field holds: the bench ticks and reads, and a field shows that it does no more. */
export const mayType = (field: string, role: 'builder' | 'bench'): boolean =>
  role === 'builder' || AT_BENCH.some((begins) => field.startsWith(begins));

/** Whether who is let in may change what the build itself holds. */
export const useMayChange = (): boolean => useStore(doorStore, ({ role }) => role === 'builder');

export const useMayType = (field: string): boolean => useStore(doorStore, ({ role }) => mayType(field, role));
