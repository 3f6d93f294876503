import {
  BadRequestException,
  Injectable,
  NotFoundException,
  type PipeTransform,
  type Type,
} from '@nestjs/common';
import { validate } from 'class-validator';

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

/**
 * A request's body, checked as everywhere, but not copied level by level: for one that carries a whole document, which the
 * format checks. Its parameter is typed as `Readonly<…>`, so that the usual check leaves it alone.
 */
@Injectable()
export class AsItIs<T extends object> implements PipeTransform<unknown, Promise<T>> {
  constructor(private readonly type: Type<T>) {}

  async transform(body: unknown): Promise<T> {
    const request = Object.assign(
      new this.type(),
      typeof body === 'object' && !Array.isArray(body) ? body : {},
    );
    const wrong = await validate(request, { whitelist: true, forbidNonWhitelisted: true });
    if (wrong.length > 0)
      throw new BadRequestException(wrong.flatMap(({ constraints }) => Object.values(constraints ?? {})));
    return request;
  }
}
