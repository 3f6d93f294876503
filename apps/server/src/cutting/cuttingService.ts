import type { CutItem, LengthDisplay } from '@larchwood/core';
import type { CuttingTerms, OrderRequest, PlacedOrder, Quote } from '@larchwood/contract';

/** Files of an order by their names. */
export type OrderFiles = Readonly<Record<string, Uint8Array>>;

/** Who cuts tubes and plates: the application knows no more of a cutting service than this. */
export abstract class CuttingService {
  abstract terms(): Promise<CuttingTerms>;

  /** A price for each piece, or why it is refused, in words with lengths as the asker wants them. */
  abstract quote(items: readonly CutItem[], display: LengthDisplay): Promise<Quote>;

  /**
   * @throws UnprocessableEntityException when a piece is refused, or its file does not show it
   * @throws ConflictException when it costs something else now
   */
  abstract order(order: OrderRequest, files: OrderFiles): Promise<PlacedOrder>;

  /** Orders of a build, oldest first. */
  abstract orders(build: string): Promise<readonly PlacedOrder[]>;

  /**
   * Calls an order off.
   * @throws NotFoundException when there is none
   * @throws ConflictException once it is being cut
   */
  abstract cancel(id: string): Promise<void>;
}
