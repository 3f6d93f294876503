import { KIND_IDS, LIMITS, LONGEST, PRINTABLE, type Limits } from '@larchwood/format';
import {
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

const BLANK = /\S/;
const CONTROL = { message: 'A name holds no line ends, tabs or other control characters.' };
const NAME_LENGTH = `Give the build a name of 1 to ${LONGEST.name} characters.`;

/** A new build from a starting set. Also the form's own check. */
export class CreateBuildRequest {
  @IsString()
  @Length(1, LONGEST.name, { message: NAME_LENGTH })
  @Matches(BLANK, { message: NAME_LENGTH })
  @Matches(new RegExp(PRINTABLE, 'u'), CONTROL)
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
}

export class RenameBuildRequest {
  @IsString()
  @Length(1, LONGEST.name, { message: NAME_LENGTH })
  @Matches(BLANK, { message: NAME_LENGTH })
  @Matches(new RegExp(PRINTABLE, 'u'), CONTROL)
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

/** A rider of the workshop's list. Lengths in mm, mass in kg; what is not measured is left out. */
export class SaveRiderRequest {
  @IsString()
  @Length(1, LONGEST.name, { message: RIDER_NAME })
  @Matches(BLANK, { message: RIDER_NAME })
  name!: string;

  @Measure(LIMITS.rider.stature)
  stature!: number;

  @Measure(LIMITS.rider.mass, 'kg')
  mass!: number;

  @IsOptional()
  @Measure(LIMITS.rider.inseam)
  inseam?: number;

  @IsOptional()
  @Measure(LIMITS.rider.segment)
  thigh?: number;

  @IsOptional()
  @Measure(LIMITS.rider.segment)
  shank?: number;

  @IsOptional()
  @Measure(LIMITS.rider.segment)
  ankleHeight?: number;

  @IsOptional()
  @Measure(LIMITS.rider.segment)
  trunk?: number;

  @IsOptional()
  @Measure(LIMITS.rider.segment)
  upperArm?: number;

  @IsOptional()
  @Measure(LIMITS.rider.segment)
  forearm?: number;
}

/** A fixture of the workshop's, whole; the core checks it. */
export class SaveProfileRequest {
  @IsObject({ message: 'profile must be a fixture profile.' })
  profile!: object;
}
