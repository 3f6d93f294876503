import { Module } from '@nestjs/common';
import { Changes } from './changes.js';

@Module({ providers: [Changes], exports: [Changes] })
export class ChangesModule {}
