import { BadRequestException, Injectable, NotFoundException, type PipeTransform } from '@nestjs/common';

/** A query's whole number from 0; left out it is 0. */
@Injectable()
export class WholeNumber implements PipeTransform<unknown, number> {
  transform(value: unknown): number {
    const number = value === undefined ? 0 : Number(value);
    if (!Number.isInteger(number) || number < 0 || number > 1e9)
      throw new BadRequestException('from is a whole number from 0.');
    return number;
  }
}

/** An id in a path: what can be none is nowhere. */
@Injectable()
export class Id implements PipeTransform<string, string> {
  transform(value: string): string {
    if (!/^[\w-]{1,60}$/.test(value)) throw new NotFoundException('There is nothing of that id.');
    return value;
  }
}
