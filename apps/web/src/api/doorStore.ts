import type { DoorState, Role } from '@larchwood/contract';
import { createStore } from 'zustand';

interface Door {
  /** The server wants a passcode before it answers. */
  readonly locked: boolean;
  /** As what one was let in; a builder until the server says otherwise. */
  readonly role: Role;
  /** Open to the shop's network. */
  readonly open: boolean;
}

/** Whether this browser is let in, and as what. */
export const doorStore = createStore<Door>(() => ({ locked: false, role: 'builder', open: false }));

export const knownAt = ({ open, role }: DoorState): void =>
  doorStore.setState(role === undefined ? { open, locked: true } : { open, role, locked: false });
