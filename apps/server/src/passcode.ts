/** `npm run passcode -- builder` (or `bench`): sets a passcode, read from a line of standard input; an empty line takes it away. */
import 'reflect-metadata';
import { createInterface } from 'node:readline/promises';
import { MikroORM, RequestContext } from '@mikro-orm/core';
import { plainToInstance } from 'class-transformer';
import { validate } from 'class-validator';
import { SetPasscodeRequest } from '@larchwood/contract';
import { databaseFileOf, failed } from './command.js';
import { DatabaseTrouble, EXIT } from './database/trouble.js';
import { DoorService } from './door/door.service.js';
import { createServer } from './server.js';

try {
  const [role] = process.argv.slice(2);
  const lines = createInterface({ input: process.stdin, output: process.stderr });
  const passcode = await lines.question(`New passcode for ${role ?? '?'} (an empty one takes it away): `);
  lines.close();
  const request = plainToInstance(SetPasscodeRequest, { role, passcode });
  const [wrong] = await validate(request);
  if (wrong) throw new DatabaseTrouble(Object.values(wrong.constraints ?? {}).join(' '), EXIT.usage);
  const app = await createServer({ databaseFile: databaseFileOf(process.env) });
  await RequestContext.create(app.get(MikroORM).em, () =>
    app.get(DoorService).setPasscode(request.role, request.passcode),
  );
  await app.close();
  console.log(passcode === '' ? `The ${role}’s passcode is gone.` : `The ${role}’s passcode is set.`);
} catch (error) {
  failed(error);
}
