import type { CutItem } from '@larchwood/core';
import type { Making, PackedFile } from '../pack/pack.js';
import { plateOutline } from '../registry/cuts.js';
import { pieceSolids } from '../registry/frame.js';
import type { Kit, Output, OutputOptions, Source } from '../registry/output.js';

/** What is agreed of an order, beside its pieces. */
export interface OrderPage {
  /** Of this one order. */
  readonly key: string;
  readonly build: string;
  readonly price: number;
}

/** Name of the page of an order, beside its files. */
const PAGE = 'order.json';

/** Each tube as a solid, each plate as its outline. */
const shownBy = ({ form }: CutItem): Output => (form === 'plate' ? plateOutline : pieceSolids);
const fileOf = (item: CutItem): string => `${item.mark.replace(/[^\w-]/g, '_')}.${shownBy(item).suffix}`;

/**
 * What a cutting service gets: a file of each piece, and a page that says what each is.
 * @param onMaking told when a file is waited for
 * @param elsewhere makes a solid, where the modeller may run
 * @throws Error naming the piece that cannot be made
 */
export async function* orderFiles(
  source: Source,
  kit: Kit,
  page: OrderPage,
  items: readonly CutItem[],
  onMaking: (making: Making) => void,
  elsewhere: (output: Output, options: OutputOptions) => Promise<string | Uint8Array>,
): AsyncGenerator<PackedFile> {
  for (const [index, item] of items.entries()) {
    onMaking({ step: index + 1, of: items.length + 1, title: `${item.mark} ${item.name}` });
    const output = shownBy(item);
    const options = { piece: item.piece };
    try {
      const content = await (output.slow ? elsewhere(output, options) : output.make(source, options, kit));
      yield { file: fileOf(item), content };
    } catch (error) {
      throw new Error(`Piece ${item.mark}: ${error instanceof Error ? error.message : 'no file of it.'}`);
    }
  }
  onMaking({ step: items.length + 1, of: items.length + 1, title: 'The order' });
  const order = { ...page, items: items.map((item) => ({ ...item, file: fileOf(item) })) };
  yield { file: PAGE, content: `${JSON.stringify(order, null, 2)}\n` };
}
