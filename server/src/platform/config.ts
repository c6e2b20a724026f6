import { cleanEnv, makeValidator, num, port, str } from 'envalid';

/** What the server is started with. */
export interface Config {
  /** Connection string of PostgreSQL. */
  readonly databaseUrl: string;
  /** Port on loopback that it listens on. */
  readonly port: number;
  /** Signs the session cookies; undefined: a fresh one, which ends all sessions at a restart. */
  readonly sessionSecret: string | undefined;
  /** Folder of the built web app; undefined: the API alone. */
  readonly webFolder: string | undefined;
  /** Whether the demo data are laid out. */
  readonly demo: boolean;
  /** The demo shop has a fleet and a year of work. */
  readonly demoWeek: boolean;
  /** Seed of the simulated meter's noise; undefined: another one each time. */
  readonly noiseSeed: number | undefined;
}

const DEFAULT_PORT = 4180;
/** A shorter secret can be guessed. */
const LEAST_SECRET = 16;

const postgresUrl = makeValidator<string>((text) => {
  if (!URL.canParse(text)) throw new Error('must be a connection string');
  const { protocol } = new URL(text);
  if (protocol !== 'postgres:' && protocol !== 'postgresql:')
    throw new Error('must begin with postgres://');
  return text;
});
const secret = makeValidator<string>((text) => {
  if (text.length < LEAST_SECRET) throw new Error(`must have ${LEAST_SECRET} characters or more`);
  return text;
});

/**
 * The configuration that an environment means: DATABASE_URL, PORT, SESSION_SECRET, WEB_FOLDER, DEMO (`1`, `0`, or
 * `week` for a demo shop with a year of work), NOISE_SEED for readings that can be had again.
 *
 * @throws Error naming every variable that is missing or wrong, never its value: some are secret.
 */
export function readConfig(env: Readonly<Record<string, string | undefined>>): Config {
  const given = cleanEnv(
    env,
    {
      DATABASE_URL: postgresUrl(),
      PORT: port({ default: DEFAULT_PORT }),
      SESSION_SECRET: secret({ default: undefined }),
      WEB_FOLDER: str({ default: undefined }),
      DEMO: str({ choices: ['0', '1', 'week'], default: '1' }),
      NOISE_SEED: num({ default: undefined }),
    },
    {
      reporter: ({ errors }) => {
        const wrong = Object.entries(errors).map(([name, error]) => `${name}: ${reasonOf(error)}`);
        if (wrong.length > 0)
          throw new Error(
            `The server can not start: ${wrong.join('; ')}. Start it with npm start.`,
          );
      },
    },
  );
  return {
    databaseUrl: given.DATABASE_URL,
    port: given.PORT,
    sessionSecret: given.SESSION_SECRET,
    webFolder: given.WEB_FOLDER,
    demo: given.DEMO !== '0',
    demoWeek: given.DEMO === 'week',
    noiseSeed: given.NOISE_SEED,
  };
}

/** Why a variable is refused; messages that repeat what was given are replaced. */
function reasonOf(error: Error | undefined): string {
  if (error?.name === 'EnvMissingError') return 'is not set';
  return /^must /.test(error?.message ?? '') ? (error?.message ?? '') : 'is none';
}
