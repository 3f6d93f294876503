import { ofPieces } from '../../frame/apart.js';
import { findInterferences } from '../../joints/interference.js';
import { cutPieces } from '../../joints/pieceCut.js';
import { stage } from '../stage.js';
import { fixedFrame } from './fixed.js';
import { frame } from './frame.js';

/** Both ends of every piece. */
export const ends = stage('ends', { frame }, ({ frame: of }, keep) => cutPieces(of, keep));

/** Of the pieces that the builder cuts; and of those that are there already: bought to length, or part of a donor. */
export const cuts = stage('cuts', { frame, ends }, ({ frame: { pieces }, ends: all }) => {
  const there = new Set(pieces.flatMap((piece) => (piece.supplied ? [piece.id] : [])));
  return {
    cuts: all.filter(({ piece }) => !there.has(piece)),
    given: all.filter(({ piece }) => there.has(piece)),
  };
});

/** Tubes that overlap where neither is cut for the other. */
export const interferences = stage(
  'interferences',
  { frame: fixedFrame, ends },
  ({ frame: of, ends: all }, keep) => findInterferences(of, ofPieces(of, all), keep),
);
