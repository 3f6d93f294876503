import {
  BadRequestException,
  Body,
  Controller,
  Delete,
  Get,
  HttpCode,
  Param,
  Post,
  Req,
  Res,
} from '@nestjs/common';
import { LARGEST_ORDER, MOST_ITEMS, OrderRequest, QuoteRequest } from '@larchwood/contract';
import { plainToInstance } from 'class-transformer';
import { validate, type ValidationError } from 'class-validator';
import type { Request, Response } from 'express';
import { strFromU8 } from 'fflate';
import { Id } from '../params.js';
import { rawBody } from '../rawBody.js';
import { unzipped } from './unzipped.js';
import { CuttingService } from './cuttingService.js';

const ID = new Id();
const bodyOf = rawBody(LARGEST_ORDER);
const BOUNDS = {
  ...{ size: 4 * LARGEST_ORDER, files: MOST_ITEMS + 1, file: LARGEST_ORDER },
  large: 'This order holds more than its pieces. Nothing was ordered.',
  none: 'This order is no zip that can be read. Nothing was ordered.',
};
/** The page of an order, beside its files. */
const PAGE = 'order.json';

/** Tubes and plates that somebody else cuts. */
@Controller('api/cutting')
export class CuttingController {
  constructor(private readonly service: CuttingService) {}

  @Get()
  terms() {
    return this.service.terms();
  }

  @Post('quotes')
  @HttpCode(200)
  quote(@Body() { items, ...display }: QuoteRequest) {
    return this.service.quote(items, display);
  }

  /** The body is a zip: the order as `order.json`, and a file for each piece. */
  @Post('orders')
  async order(@Req() request: Request, @Res({ passthrough: true }) response: Response) {
    const { [PAGE]: page, ...files } = unzipped(await bodyOf(request, response), BOUNDS);
    return this.service.order(await orderIn(page), files);
  }

  @Get('orders/of/:build')
  orders(@Param('build', ID) build: string) {
    return this.service.orders(build);
  }

  @Delete('orders/:id')
  @HttpCode(204)
  cancel(@Param('id', ID) id: string) {
    return this.service.cancel(id);
  }
}

/** @throws BadRequestException when there is no order in it, or not all of it is one */
async function orderIn(page: Uint8Array | undefined): Promise<OrderRequest> {
  let read: unknown;
  try {
    read = JSON.parse(strFromU8(page ?? new Uint8Array()));
  } catch {
    throw new BadRequestException(`This zip holds no ${PAGE} that can be read. Nothing was ordered.`);
  }
  if (typeof read !== 'object' || read === null || Array.isArray(read))
    throw new BadRequestException(`${PAGE} is no order. Nothing was ordered.`);
  const order = plainToInstance(OrderRequest, read);
  const wrong = await validate(order, { whitelist: true, forbidNonWhitelisted: true });
  if (wrong.length > 0) throw new BadRequestException([...new Set(wrong.flatMap(saidOf))].slice(0, 5));
  return order;
}

const saidOf = ({ constraints, children }: ValidationError): readonly string[] => [
  ...Object.values(constraints ?? {}),
  ...(children ?? []).flatMap(saidOf),
];
