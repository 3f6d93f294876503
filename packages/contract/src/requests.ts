import {
  KIND_IDS,
  LIMITS,
  LONGEST,
  PRINTABLE,
  SEGMENT_IDS,
  type Limits,
  type Segment,
} from '@larchwood/format';
import {
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  Length,
  Matches,
  Max,
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

const RIDER_NAME = `Give the rider a name of 1 to ${LONGEST.name} characters.`;

const Measure = ([low, high]: Limits, unit = 'mm'): PropertyDecorator => {
  const message = `$property lies between ${low} and ${high} ${unit}.`;
  const parts = [IsNumber({}, { message }), Min(low, { message }), Max(high, { message })];
  return (target, key) => parts.forEach((part) => part(target, key));
};

/** Lengths of a rider's segments, mm; the checks of each are put on below. */
const SegmentLengths = class {} as new () => Partial<Record<Segment, number>>;

/** A rider of the workshop's list. Lengths in mm, mass in kg; what is not measured is left out. */
export class SaveRiderRequest extends SegmentLengths {
  @IsString()
  @Length(1, LONGEST.name, { message: RIDER_NAME })
  @Matches(BLANK, { message: RIDER_NAME })
  @Matches(MARK, CONTROL)
  name!: string;

  @Measure(LIMITS.rider.stature)
  stature!: number;

  @Measure(LIMITS.rider.mass, 'kg')
  mass!: number;

  @IsOptional()
  @Measure(LIMITS.rider.inseam)
  inseam?: number;
}
for (const segment of SEGMENT_IDS) {
  for (const check of [IsOptional(), Measure(LIMITS.rider.segment)])
    check(SaveRiderRequest.prototype, segment);
}

/** A fixture of the workshop's, whole; the core checks it. */
export class SaveProfileRequest {
  @IsObject({ message: 'profile must be a fixture profile.' })
  profile!: object;
}

/** An item of one of the workshop's lists, whole; the format checks it. */
export class SaveShopItemRequest {
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
