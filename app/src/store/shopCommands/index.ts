import type { Tag } from '../tags';
import { device } from './device';
import { deviceRemoval } from './deviceRemoval';
import { glossaryRemoval } from './glossaryRemoval';
import { handbook } from './handbook';
import { modelBody } from './modelBody';
import { modelSplit } from './modelSplit';
import { newJob } from './newJob';
import { newModel } from './newModel';
import { note } from './note';
import { noteRemoval } from './noteRemoval';
import { photo } from './photo';
import { photoRemoval } from './photoRemoval';
import { photoWords } from './photoWords';
import { place } from './place';
import { placeRemoval } from './placeRemoval';
import { shippedDevices } from './shippedDevices';
import { shop } from './shop';
import type {
  MadeBy,
  Renewed,
  ShopCommand,
  ShopCommandKind,
  ShopCommandName,
  ShownThings,
} from './shopCommand';
import { tap } from './tap';
import type { SentCommand } from './sentCommand';

export type { AnswerOf, BodyOf, ShopCommand, ShopCommandName, ShownThings } from './shopCommand';

/** Every kind of command on the shop's things, each in a file of its own. */
const KINDS: { readonly [Name in ShopCommandName]: ShopCommandKind<Name> } = {
  newJob,
  tap,
  handbook,
  glossaryRemoval,
  newModel,
  modelSplit,
  modelBody,
  place,
  placeRemoval,
  note,
  noteRemoval,
  photo,
  photoWords,
  photoRemoval,
  shop,
  device,
  deviceRemoval,
  shippedDevices,
};

/** A command's kind, as one that takes any body: kind and body come from one pair of the same union. */
function kindOf(command: ShopCommand): ShopCommandKind<'newJob'> {
  return KINDS[command.kind] as unknown as ShopCommandKind<'newJob'>;
}

function bodyOf(command: ShopCommand): never {
  return command.body as never;
}

/** What a command is called where it was refused. */
export function calledOf(command: ShopCommand): string {
  return kindOf(command).called(bodyOf(command));
}

/** What a command changes. */
export function shopSubjectOf(command: ShopCommand): string {
  return kindOf(command).subject(bodyOf(command));
}

/** How a command is sent. */
export function shopSentBy(command: ShopCommand): SentCommand {
  return kindOf(command).sent(bodyOf(command));
}

/** Whether it takes away what may be gone already. */
export function isRemoval(command: ShopCommand): boolean {
  return kindOf(command).isRemoval === true;
}

/** What is asked for again where a command was refused. */
export function askedAgain(command: ShopCommand): Tag {
  return kindOf(command).askedAgain;
}

/** What of the screens the server's answer to a command renews. */
export function renewedBy(command: ShopCommand, answer: unknown): Renewed {
  return kindOf(command).stored(answer as never, bodyOf(command));
}

/** What is shown with commands done that the server does not have yet, in the order of making. */
export function withShopCommands<Thing extends keyof ShownThings>(
  thing: Thing,
  shown: ShownThings[Thing],
  commands: readonly ShopCommand[],
  by: string,
): ShownThings[Thing] {
  return commands.reduce((so, command) => {
    const apply = kindOf(command).apply?.[thing] as
      | ((shown: ShownThings[Thing], body: never, made: MadeBy) => ShownThings[Thing])
      | undefined;
    return apply?.(so, bodyOf(command), { by, at: command.at }) ?? so;
  }, shown);
}
