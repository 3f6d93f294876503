import { KIND_IDS, LONGEST, PRINTABLE } from '@larchwood/format';
import { Transform } from 'class-transformer';
import {
  IsBoolean,
  IsIn,
  IsInt,
  IsObject,
  IsOptional,
  IsString,
  Length,
  Matches,
  Min,
} from 'class-validator';

/** So many entries of a long list are answered at once; `?from=` asks for those after. */
export const PAGE = 200;

const BLANK = /\S/;
const CONTROL = { message: 'A name holds no line ends, tabs or other control characters.' };
const MARK = new RegExp(PRINTABLE, 'u');
const PERSON = 'Give a name of 1 to 60 characters, without line ends.';
const NAME_LENGTH = `Give the build a name of 1 to ${LONGEST.name} characters.`;

/** A new build from a starting set. Also the form's own check. */
export class CreateBuildRequest {
  @IsString()
  @Length(1, LONGEST.name, { message: NAME_LENGTH })
  @Matches(BLANK, { message: NAME_LENGTH })
  @Matches(MARK, CONTROL)
  name!: string;

  @IsIn(KIND_IDS, { message: 'Choose a kind of vehicle.' })
  kind!: string;

  @IsString()
  @Length(1, 60, { message: 'Choose a starting set.' })
  startingSet!: string;

  @IsOptional()
  @IsIn(['mm', 'inch', 'fraction'], { message: 'Choose millimetres, decimal inches or fractional inches.' })
  length?: 'mm' | 'inch' | 'fraction';
}

/** Saves a document over the revision that the sender last saw. */
export class SaveBuildRequest {
  @IsInt({ message: 'revision must be the whole number of the revision you last saw.' })
  @Min(1)
  revision!: number;

  @IsObject({ message: 'document must be a build document.' })
  document!: object;

  /** Of this one save: sent again, because its answer was lost, it is answered the same. */
  @IsOptional()
  @IsString()
  @Length(1, 60, { message: 'saveId has 1 to 60 characters.' })
  saveId?: string;

  /** Of the window that saves: what it saves by itself in one sitting is one revision. */
  @IsOptional()
  @IsString()
  @Length(1, 60, { message: 'sitting has 1 to 60 characters.' })
  sitting?: string;

  /** Who is at work, as they call themselves. */
  @IsOptional()
  @IsString()
  @Length(1, 60, { message: PERSON })
  @Matches(MARK, CONTROL)
  by?: string;
}

export class RenameBuildRequest {
  @IsString()
  @Length(1, LONGEST.name, { message: NAME_LENGTH })
  @Matches(BLANK, { message: NAME_LENGTH })
  @Matches(MARK, CONTROL)
  name!: string;
}

export class RestoreRevisionRequest {
  @IsInt({ message: 'revision must be the whole number of a revision.' })
  @Min(1)
  revision!: number;
}

/** Which change of an item of the workshop's lists this is, and over which one. */
export class ShopItemChange {
  /** Revision of the item that the sender last saw; 0 where it saw none. */
  @Transform(({ value }: { value: unknown }) =>
    typeof value === 'string' && /^\d{1,9}$/.test(value) ? Number(value) : value,
  )
  @IsInt({ message: 'over is the revision of the item that you last saw, or 0.' })
  @Min(0)
  over!: number;

  /** Of this one change: sent again, because its answer was lost, it is answered the same. */
  @IsOptional()
  @IsString()
  @Length(1, 60, { message: 'saveId has 1 to 60 characters.' })
  saveId?: string;
}

/** An item of one of the workshop's lists, whole; the core checks it. */
export class SaveShopItemRequest extends ShopItemChange {
  @IsObject({ message: 'item must be an item of the list.' })
  item!: object;
}

/** What is said of one revision: a name of its own, or what was made of it. Either keeps it for good. */
export class MarkRevisionRequest {
  /** Empty takes the name away. */
  @IsOptional()
  @IsString()
  @Length(0, LONGEST.name, { message: `A revision's name has at most ${LONGEST.name} characters.` })
  @Matches(MARK, CONTROL)
  name?: string;

  @IsOptional()
  @IsString()
  @Length(1, LONGEST.name, { message: 'Say in a few words what it was used for.' })
  @Matches(MARK, CONTROL)
  usedFor?: string;
}

export const ROLES = ['builder', 'bench'] as const;
/** A builder may do all; at the bench one may look, tick and read settings, and log. */
export type Role = (typeof ROLES)[number];

/** Least and most length of a passcode. */
export const PASSCODE = { least: 8, most: 200 } as const;
const PASSCODE_LENGTH = `A passcode has ${PASSCODE.least} to ${PASSCODE.most} characters.`;

/** Sets a role's passcode, or takes it away with an empty one; without a builder's passcode the door stays shut. */
export class SetPasscodeRequest {
  @IsIn(ROLES, { message: 'Choose builder or bench.' })
  role!: Role;

  @IsString()
  @Matches(new RegExp(`^(|.{${PASSCODE.least},${PASSCODE.most}})$`, 'su'), { message: PASSCODE_LENGTH })
  passcode!: string;
}

export class EnterRequest {
  @IsString()
  @Length(1, PASSCODE.most, { message: 'Type the passcode.' })
  passcode!: string;
}

/** Largest picture that the log keeps, bytes. */
export const LARGEST_PICTURE = 4 * 1024 * 1024;

/** What the workshop keeps of its own accord. */
export class KeepingRequest {
  @IsBoolean({ message: 'thinning is true or false.' })
  thinning!: boolean;
}
