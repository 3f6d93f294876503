import { EntityManager } from '@mikro-orm/core';
import {
  ConflictException,
  Inject,
  Injectable,
  NotFoundException,
  UnprocessableEntityException,
} from '@nestjs/common';
import type { CutItem, LengthDisplay } from '@larchwood/core';
import type { CuttingTerms, OrderRequest, OrderState, PlacedOrder, Quote } from '@larchwood/contract';
import { CuttingOrderEntity } from '../../database/entities.js';
import { CuttingService, type OrderFiles } from '../cuttingService.js';
import { refusalsOf, TERMS } from './limits.js';
import { daysFor, priceOf, sumOf } from './prices.js';
import { wrongWith } from './shown.js';

/** So many seconds are a day to it. */
export const DAY = Symbol('day');
const MM: LengthDisplay = { length: 'mm', denominator: 16 };
/** A new order lies so long before it is cut, days: until then it can be called off. */
const LIES = 1;
const DAY_MS = 86_400_000;

/**
 * Stands in for a cutting service, so that an order can be tried: it has limits, prices and terms of its own invention, keeps
 * orders in the workshop's database, and lets its days pass quickly. It cuts nothing, sends nothing and takes no money.
 */
@Injectable()
export class StandInService extends CuttingService {
  constructor(
    private readonly entities: EntityManager,
    @Inject(DAY) private readonly day: number,
  ) {
    super();
  }

  terms(): Promise<CuttingTerms> {
    return Promise.resolve({ ...TERMS, standIn: { day: this.day } });
  }

  quote(items: readonly CutItem[], display: LengthDisplay): Promise<Quote> {
    const pieces = items.map((item) => {
      const refusals = refusalsOf(item, display);
      const { piece, mark } = item;
      return { piece, mark, refusals, ...(refusals.length === 0 ? { price: priceOf(item) } : {}) };
    });
    const priced = pieces.flatMap(({ price }) => price ?? []);
    return Promise.resolve({ pieces, price: sumOf(priced), days: daysFor(priced.length) });
  }

  async order({ key, build, price: agreed, items }: OrderRequest, files: OrderFiles): Promise<PlacedOrder> {
    const before = await this.entities.findOne(CuttingOrderEntity, { key });
    if (before) return this.placed(before);
    const { pieces, price, days } = await this.quote(items, MM);
    const wrong = items.flatMap((item, index) => [
      ...pieces[index]!.refusals.map(({ text }) => `${item.mark}: ${text}`),
      ...[wrongWith(item, item.file, files[item.file])].filter((text) => text !== undefined),
    ]);
    if (wrong.length > 0)
      throw new UnprocessableEntityException({
        message: `Nothing was ordered. ${wrong.slice(0, 3).join(' ')}`,
      });
    if (Math.abs(price - agreed) > 0.05)
      throw new ConflictException(`Nothing was ordered: it costs ${price.toFixed(2)} now. Ask again.`);
    const order = this.entities.create(CuttingOrderEntity, {
      ...{ key, build, price, days, orderedAt: new Date() },
      pieces: pieces.map(({ piece, mark, price: of }) => ({ piece, mark, price: of ?? 0 })),
    });
    await this.entities.persistAndFlush(order);
    return this.placed(order);
  }

  async orders(build: string): Promise<readonly PlacedOrder[]> {
    const all = await this.entities.find(CuttingOrderEntity, { build }, { orderBy: { id: 'asc' } });
    return all.map((order) => this.placed(order));
  }

  async cancel(id: string): Promise<void> {
    const number = /^C-(\d{4,9})$/.exec(id)?.[1];
    const order = await this.entities.findOne(CuttingOrderEntity, { id: Number(number ?? -1) });
    if (!order) throw new NotFoundException(`There is no order ${id}.`);
    if (this.stateOf(order) !== 'ordered')
      throw new ConflictException(`Order ${id} is being cut already: it cannot be called off any more.`);
    await this.entities.removeAndFlush(order);
  }

  private stateOf({ orderedAt, days }: CuttingOrderEntity): OrderState {
    const passed = (Date.now() - orderedAt.getTime()) / (this.day * 1000);
    return passed < LIES ? 'ordered' : passed < days ? 'cutting' : 'sent';
  }

  private placed(order: CuttingOrderEntity): PlacedOrder {
    const { id, build, price, pieces, orderedAt, days } = order;
    return {
      ...{ id: `C-${String(id).padStart(4, '0')}`, build, state: this.stateOf(order), price, pieces },
      on: dayOf(orderedAt.getTime()),
      due: dayOf(orderedAt.getTime() + days * DAY_MS),
    };
  }
}

const dayOf = (time: number): string => new Date(time).toISOString().slice(0, 10);
