import { KINDS } from '@larchwood/core';
import { IsIn, IsInt, IsObject, IsOptional, IsString, Length, Matches, Min } from 'class-validator';

const BLANK = /\S/;
const NAME_LENGTH = 'Give the build a name of 1 to 120 characters.';

/** A new build from a starting set. Also the form's own check. */
export class CreateBuildRequest {
  @IsString()
  @Length(1, 120, { message: NAME_LENGTH })
  @Matches(BLANK, { message: NAME_LENGTH })
  name!: string;

  @IsIn(KINDS.map((kind) => kind.id), { message: 'Choose a kind of vehicle.' })
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
}

export class RenameBuildRequest {
  @IsString()
  @Length(1, 120, { message: NAME_LENGTH })
  @Matches(BLANK, { message: NAME_LENGTH })
  name!: string;
}

export class RestoreRevisionRequest {
  @IsInt({ message: 'revision must be the whole number of a revision.' })
  @Min(1)
  revision!: number;
}
