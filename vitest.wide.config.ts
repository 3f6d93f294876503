import { defineConfig } from 'vitest/config';
import { shared, test, WIDE } from './vitest.config.js';

/** The wide set: every kind, sheet and demo build at length, a mesh library, and properties with many runs. */
export default defineConfig({ ...shared, test: { ...test, include: WIDE, testTimeout: 120_000 } });
