import type {
  BodyInput,
  CreateJobRequest,
  CreateModelRequest,
  DescribePhotoRequest,
  DeviceFileInput,
  DeviceView,
  DevicesBroughtIn,
  GlossaryEntryView,
  HandbookEntryRequest,
  JobView,
  LogTapRequest,
  ModelView,
  NoteRequest,
  PlaceInput,
  ShopView,
  SplitModelRequest,
  TapPointView,
  UpdateShopRequest,
} from '@lucky-thread/contract';
import type { Tag } from '../tags';
import type { SentCommand } from './sentCommand';

/** What each kind of command carries, and what the server answers to it. */
export interface ShopCommands {
  /** Begins a job. */
  readonly newJob: { body: { id: string; request: CreateJobRequest }; answer: JobView };
  /** Logs a tap point of a job. */
  readonly tap: {
    body: { jobId: string; id: string; request: LogTapRequest };
    answer: TapPointView;
  };
  /** Keeps what the handbook says at a slot. */
  readonly handbook: {
    body: { modelId: string; sourceId: string; request: HandbookEntryRequest };
    answer: ModelView;
  };
  /** Takes an entry out of the glossary. */
  readonly glossaryRemoval: { body: { id: string }; answer: null };
  /** Enters a vehicle. */
  readonly newModel: { body: { id: string; request: CreateModelRequest }; answer: ModelView };
  /** Parts a model into two by year. */
  readonly modelSplit: { body: { id: string; request: SplitModelRequest }; answer: ModelView };
  /** Keeps a body with its measures. */
  readonly modelBody: { body: { modelId: string; request: BodyInput }; answer: ModelView };
  /** Enters a place, or changes it. */
  readonly place: {
    body: { modelId: string; placeId: string; request: PlaceInput };
    answer: ModelView;
  };
  /** Takes a place away. */
  readonly placeRemoval: { body: { modelId: string; placeId: string }; answer: ModelView };
  /** Adds a photo to a place. */
  readonly photo: {
    body: { modelId: string; placeId: string; photoId: string; jpegBase64: string };
    answer: ModelView;
  };
  /** Writes a note at a place or a source, or changes it. */
  readonly note: {
    body: { modelId: string; noteId: string; request: NoteRequest };
    answer: ModelView;
  };
  /** Takes a note away. */
  readonly noteRemoval: {
    body: { modelId: string; noteId: string };
    answer: ModelView | undefined;
  };
  /** Changes a photo's caption and pins. */
  readonly photoWords: {
    body: { modelId: string; photoId: string; request: DescribePhotoRequest };
    answer: ModelView;
  };
  /** Takes a photo away. */
  readonly photoRemoval: { body: { modelId: string; photoId: string }; answer: ModelView };
  /** Changes the shop's settings. */
  readonly shop: { body: UpdateShopRequest; answer: ShopView };
  /** Keeps a device in the shop's list. */
  readonly device: { body: { id: string; request: DeviceFileInput }; answer: DeviceView };
  /** Takes a device out of the shop's list. */
  readonly deviceRemoval: { body: { id: string }; answer: null };
  /** Brings in the devices that come with the application. */
  readonly shippedDevices: { body: Record<never, never>; answer: DevicesBroughtIn };
}

/** A kind of command. */
export type ShopCommandName = keyof ShopCommands;
/** What a kind carries. */
export type BodyOf<Name extends ShopCommandName> = ShopCommands[Name]['body'];
/** What the server answers to a kind. */
export type AnswerOf<Name extends ShopCommandName> = ShopCommands[Name]['answer'];

/** Who makes a command, and when. */
export interface MadeBy {
  /** As others see them. */
  readonly by: string;
  /** When, ISO 8601. */
  readonly at: string;
}

/** What is on screens that a command changes before the server has it. */
export interface ShownThings {
  /** A vehicle model. */
  readonly model: ModelView;
  /** The shop. */
  readonly shop: ShopView;
  /** The shop's devices. */
  readonly devices: readonly DeviceView[];
  /** What the shop knows of legends. */
  readonly glossary: readonly GlossaryEntryView[];
}

/** What an answer renews: things that take the place of those shown, and what has to be asked for again. */
export interface Renewed {
  /** The model as it is stored now. */
  readonly model?: ModelView;
  /** The job as it is stored now. */
  readonly job?: JobView;
  /** The shop as it is stored now. */
  readonly shop?: ShopView;
  /** A tap point of a job. */
  readonly tap?: TapPointView;
  /** What is asked for again, since the answer does not tell it. */
  readonly asked: readonly (Tag | { readonly type: Tag; readonly id: string })[];
}

/** What every kind of command on the shop's things knows of itself. */
export interface ShopCommandKind<Name extends ShopCommandName> {
  /** What it is called where it was refused. */
  readonly called: (body: BodyOf<Name>) => string;
  /** What it changes: commands of one subject go out one after the other. */
  readonly subject: (body: BodyOf<Name>) => string;
  /** How it is sent. */
  readonly sent: (body: BodyOf<Name>) => SentCommand;
  /** What is shown with it done, before the server has it; done twice it is the same. */
  readonly apply?: {
    readonly [Thing in keyof ShownThings]?: (
      shown: ShownThings[Thing],
      body: BodyOf<Name>,
      made: MadeBy,
    ) => ShownThings[Thing];
  };
  /** What is asked for again where it was refused: it may be because somebody else was faster. */
  readonly askedAgain: Tag;
  /** What of the screens the server's answer renews. */
  readonly stored: (answer: AnswerOf<Name>, body: BodyOf<Name>) => Renewed;
  /** A thing that is taken away and was gone already needs no taking away. */
  readonly isRemoval?: true;
}

/** A command on the shop's things, with its id and moment. */
export type ShopCommand = {
  [Name in ShopCommandName]: {
    readonly kind: Name;
    readonly key: string;
    readonly at: string;
    readonly body: BodyOf<Name>;
  };
}[ShopCommandName];
