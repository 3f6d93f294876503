import { expose } from 'comlink';
import { readDrawing } from '@larchwood/core';

/** Reads drawings off the main thread: what somebody else's program wrote may take for ever. */
const reader = { read: readDrawing };
export type DrawingReader = typeof reader;
expose(reader);
