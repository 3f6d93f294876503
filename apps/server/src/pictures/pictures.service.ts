import { randomUUID } from 'node:crypto';
import { EntityManager } from '@mikro-orm/libsql';
import {
  Injectable,
  NotFoundException,
  PayloadTooLargeException,
  UnsupportedMediaTypeException,
} from '@nestjs/common';
import { LARGEST_PICTURE } from '@larchwood/contract';
import { PictureEntity } from '../database/entities.js';

/** How the pictures that browsers show begin. */
const BEGINNINGS: readonly (readonly [type: string, bytes: readonly number[]])[] = [
  ['image/jpeg', [0xff, 0xd8, 0xff]],
  ['image/png', [0x89, 0x50, 0x4e, 0x47]],
];
export type Picture = Pick<PictureEntity, 'id' | 'type' | 'bytes'>;

/** Stores pictures of the log, as they are: they are shown, and sent nowhere. */
@Injectable()
export class PicturesService {
  constructor(private readonly entities: EntityManager) {}

  /**
   * Keeps a picture; what it is, is told by how it begins, not by what it is called.
   * @param id the one it had in another workshop
   * @throws UnsupportedMediaTypeException when it is neither JPEG nor PNG
   * @throws PayloadTooLargeException when it is larger than a picture may be
   */
  async keep(bytes: Buffer, id: string = randomUUID()): Promise<{ readonly id: string }> {
    if (bytes.length > LARGEST_PICTURE)
      throw new PayloadTooLargeException(`A picture has at most ${LARGEST_PICTURE / 1048576} MB.`);
    const type = BEGINNINGS.find(([, start]) => start.every((byte, index) => bytes[index] === byte))?.[0];
    if (type === undefined)
      throw new UnsupportedMediaTypeException('A picture is a JPEG or a PNG; this file is neither.');
    await this.entities.persistAndFlush(
      this.entities.create(PictureEntity, { id, type, bytes, keptAt: new Date() }),
    );
    return { id };
  }

  /** @throws NotFoundException when there is none */
  async get(id: string): Promise<Picture> {
    // Only looked at: as an entity its bytes would be copied and compared.
    const [picture] = await this.entities
      .createQueryBuilder(PictureEntity)
      .select(['type', 'bytes'])
      .where({ id })
      .execute<Pick<Picture, 'type' | 'bytes'>[]>('all', false);
    if (!picture) throw new NotFoundException('There is no such picture.');
    // The driver gives bare bytes.
    return { id, type: picture.type, bytes: Buffer.from(picture.bytes) };
  }

  /** @throws NotFoundException when there is none */
  async remove(id: string): Promise<void> {
    const gone = await this.entities.nativeDelete(PictureEntity, { id });
    if (gone === 0) throw new NotFoundException('There is no such picture.');
  }

  /** What is kept, oldest first, without the pictures themselves. */
  all(): Promise<readonly Pick<Picture, 'id' | 'type'>[]> {
    return this.entities.find(
      PictureEntity,
      {},
      { fields: ['id', 'type'], orderBy: { keptAt: 'asc', id: 'asc' } },
    );
  }
}
