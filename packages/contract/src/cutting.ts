import type { CutHole, CutItem, LengthDisplay } from '@larchwood/core';
import { PRINTABLE } from '@larchwood/format';
import { plainToInstance, Transform } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsNumber,
  IsString,
  Length,
  Matches,
  Max,
  Min,
  ValidateNested,
} from 'class-validator';

/** Largest order with its files, packed, bytes. */
export const LARGEST_ORDER = 48 * 1024 * 1024;
/** Most pieces of one order. */
export const MOST_ITEMS = 700;

const MARK = new RegExp(PRINTABLE, 'u');
const Text = (about: string, most: number): PropertyDecorator => {
  const message = `${about} has 1 to ${most} characters, without line ends.`;
  return (target, key) =>
    [IsString(), Length(1, most, { message }), Matches(MARK, { message })].forEach((part) =>
      part(target, key),
    );
};
const Size = (least: number, most: number): PropertyDecorator => {
  const message = `$property lies between ${least} and ${most}.`;
  return (target, key) =>
    [
      IsNumber({}, { each: true, message }),
      Min(least, { each: true, message }),
      Max(most, { each: true, message }),
    ].forEach((part) => part(target, key));
};

/** A list whose items are checked as these: known without the types that a compiler would have to leave behind. */
const ListOf = <T extends object>(type: () => new () => T): PropertyDecorator =>
  Transform(({ value }: { value: unknown }) =>
    Array.isArray(value) ? value.map((each: unknown) => plainToInstance(type(), each)) : value,
  );

export class CutHoleRequest implements CutHole {
  @Text('The name of a hole', 80)
  name!: string;

  @Size(0, 3000)
  diameter!: number;

  @Size(-20000, 20000)
  web!: number;
}

/** A piece that is to be cut, in figures; mm and degrees. */
export class CutItemRequest implements CutItem {
  @Text('A piece id', 80)
  piece!: string;

  @Text('A piece mark', 20)
  mark!: string;

  @Text('The name of a piece', 80)
  name!: string;

  @IsIn(['round', 'rectangular', 'oval', 'plate'], { message: 'A piece is a tube or a plate.' })
  form!: CutItem['form'];

  @IsArray()
  @ArrayMinSize(2)
  @ArrayMaxSize(2)
  @Size(0, 20000)
  size!: [number, number];

  @Size(0.1, 100)
  wall!: number;

  @Text('A material', 60)
  material!: string;

  @Size(0, 20000)
  length!: number;

  @Size(-90, 90)
  sharpest!: number;

  @IsArray()
  @ArrayMaxSize(400)
  @ValidateNested({ each: true })
  @ListOf(() => CutHoleRequest)
  holes!: CutHoleRequest[];

  @IsBoolean()
  bent!: boolean;

  @IsBoolean()
  even!: boolean;
}

/** Asks what pieces would cost, and when they would come. */
export class QuoteRequest {
  /** How the answer says lengths. */
  @IsIn(['mm', 'inch', 'fraction'], { message: 'Choose millimetres, decimal inches or fractional inches.' })
  length!: LengthDisplay['length'];

  @IsIn([16, 32, 64], { message: 'Fractions go to 16ths, 32nds or 64ths.' })
  denominator!: LengthDisplay['denominator'];

  @IsArray()
  @ArrayMaxSize(MOST_ITEMS, { message: `Ask for ${MOST_ITEMS} pieces at most.` })
  @ValidateNested({ each: true })
  @ListOf(() => CutItemRequest)
  items!: CutItemRequest[];
}

/** A piece that is ordered, with the file that shows it. */
export class OrderedItemRequest extends CutItemRequest {
  @Matches(/^[\w-]{1,40}\.(step|dxf)$/, { message: 'A piece’s file is a STEP or a DXF beside the order.' })
  file!: string;
}

/** The page of an order that lies beside its files in the zip. */
export class OrderRequest {
  /** Of this one order: sent again, because its answer was lost, it is answered the same. */
  @Matches(/^[\w-]{8,40}$/, { message: 'An order has a key of its own.' })
  key!: string;

  @Matches(/^[\w-]{1,60}$/, { message: 'An order names its build.' })
  build!: string;

  /** What it was quoted at: another price is not agreed to. */
  @Size(0, 10_000_000)
  price!: number;

  @IsArray()
  @ArrayMinSize(1, { message: 'There is no piece in this order.' })
  @ArrayMaxSize(MOST_ITEMS, { message: `Order ${MOST_ITEMS} pieces at most.` })
  @ValidateNested({ each: true })
  @ListOf(() => OrderedItemRequest)
  items!: OrderedItemRequest[];
}
