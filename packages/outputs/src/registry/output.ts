import type { FixtureDetails, FoundNests, Plan } from '@larchwood/core';
import type { BuildDocument, Shop } from '@larchwood/format';
import type { Drawing } from '../drawing.js';
import type { PaperFonts } from '../text/faces.js';
import { stampOf, type Edition } from './edition.js';

/** What every output is made from. */
export interface Source {
  readonly document: BuildDocument;
  readonly plan: Plan;
  /** Lists and parts of the fixture: worked out where an output asks for them. */
  readonly details: () => FixtureDetails;
  /** What the workshop owns and has learned; none where it is not known. */
  readonly shop?: Shop;
  /** Nests of bars that were looked for; a first one of each where none was. */
  readonly nests?: FoundNests;
  /** Revision and its date, as a title block says it. */
  readonly revision: string;
  /** The same for names of files and heads of solids. */
  readonly edition: Edition;
  /** Where the build's own pages are, for codes that open them; none where it is not on a server. */
  readonly address?: string;
}

/** What a file is named from. */
export type Named = Pick<Source, 'document' | 'plan'>;

/** Large parts that only some outputs need; fetched when they ask. */
export interface Kit {
  readonly fonts: () => Promise<PaperFonts>;
  /** The compiled part of the solid modeller. */
  readonly modeller: () => Promise<Uint8Array>;
}

/** What is chosen for one file, beside what the document holds. */
export interface OutputOptions {
  /** Id of the one piece; every piece where none is named. */
  readonly piece?: string;
  /** A wrap for what a saw cuts square, too. */
  readonly square?: boolean;
}

/** A file that can be made of a build: the buttons, the worker, the program without a screen and the pack read it here. */
export interface Output {
  readonly id: string;
  /** As its button says it. */
  readonly title: string;
  /** As a list says it, apart from the paper that it is another form of; its title where there is none. */
  readonly listed?: string;
  /** Beside what it is offered. */
  readonly group: 'steering' | 'patterns' | 'frame' | 'cuts' | 'fixture' | 'work';
  /** Id of the paper that this is another form of. */
  readonly formOf?: string;
  /** Made of one piece, which has to be chosen. */
  readonly ofPiece?: true;
  /** Takes so long that a pack makes it beside the others, where there is a place for that. */
  readonly slow?: true;
  readonly mediaType: string;
  readonly suffix: string;
  /** What the file's name says, after the build's. */
  readonly name: (source: Named, options: OutputOptions) => string;
  /** What is to be told beside it. */
  readonly caution?: string;
  /** What who opens it should know of this one file; none where all is as it should be. */
  readonly remark?: (content: string) => string | undefined;
  /** Why it cannot be made of a build; undefined where it can. */
  readonly refuse: (source: Source) => string | undefined;
  /** What a pack holds of it, where that is not one file with nothing chosen. */
  readonly packed?: (source: Source) => readonly OutputOptions[];
  /** Its sheets, where it is paper: as they will be printed. */
  readonly pages?: (source: Source, options: OutputOptions) => readonly Drawing[];
  /** Text or bytes. */
  readonly make: (source: Source, options: OutputOptions, kit: Kit) => string | Promise<string | Uint8Array>;
}

/** Paper that can be looked at before it is printed. */
export type Paper = Output & Required<Pick<Output, 'pages'>>;

/** Sheets as a PDF. What writes it is loaded when one is made. */
export const paper = (given: Omit<Paper, 'mediaType' | 'suffix' | 'make'>): Paper => ({
  ...given,
  mediaType: 'application/pdf',
  suffix: 'pdf',
  make: async (source, options, { fonts }) => {
    const { drawingsToPdf } = await import('../pdf.js');
    const title = `${stampOf(source)}: ${given.name(source, options)}`;
    return drawingsToPdf(given.pages(source, options), title, await fonts());
  },
});

export const noTubes = ({ plan }: Source): string | undefined =>
  plan.frame.pieces.length === 0 ? 'No tubes yet: make a frame at the Tubes station first.' : undefined;

export const notHeld = ({ plan }: Source): string | undefined => plan.fixture.refused;
