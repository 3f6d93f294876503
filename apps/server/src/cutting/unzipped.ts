import { BadRequestException } from '@nestjs/common';
import { unzipSync, type Unzipped } from 'fflate';

/** How much a zip may hold, bytes unpacked, and what is said of one that does not read. */
export interface Bounds {
  readonly size: number;
  readonly files: number;
  /** Of the largest file. */
  readonly file: number;
  readonly large: string;
  readonly none: string;
}

/** @throws BadRequestException when it is no zip, or grows beyond its bounds */
export function unzipped(zip: Uint8Array, bounds: Bounds): Unzipped {
  let size = 0;
  let count = 0;
  try {
    return unzipSync(zip, {
      filter: ({ originalSize }) => {
        size += originalSize;
        count += 1;
        if (size > bounds.size || count > bounds.files || originalSize > bounds.file)
          throw new BadRequestException(bounds.large);
        return true;
      },
    });
  } catch (error) {
    if (error instanceof BadRequestException) throw error;
    throw new BadRequestException(bounds.none);
  }
}
