/** Settings, from the environment, checked by a schema. */
import { Type, type Static } from '@sinclair/typebox';
import { Ajv } from 'ajv';

const port = (usual: number) => Type.Integer({ minimum: 1, maximum: 65_535, default: usual });
const text = (usual: string) => Type.String({ default: usual });

const Environment = Type.Object({
  ALVEX_HOST: text('127.0.0.1'),
  ALVEX_PORT: port(4680),
  ALVEX_DB_HOST: text('127.0.0.1'),
  ALVEX_DB_PORT: port(3306),
  ALVEX_DB_USER: text('alvex'),
  ALVEX_DB_PASSWORD: text(''),
  ALVEX_DB_NAME: Type.String({ default: 'alvex', pattern: '^\\w+$' }),
  /** Heavy requests in a minute that one address may send. */
  ALVEX_MOST_A_MINUTE: Type.Integer({ minimum: 1, default: 600 }),
  /** Folder of the built web application. */
  ALVEX_WEB_ROOT: text(''),
  /** Folder of demo documents that a new database is filled with; none when empty. */
  ALVEX_DEMO_ROOT: text(''),
  ALVEX_LOG: Type.Union(
    ['fatal', 'error', 'warn', 'info', 'debug', 'trace', 'silent'].map((level) => Type.Literal(level)),
    { default: 'info' },
  ),
});
type Environment = Static<typeof Environment>;

export interface Config {
  readonly host: string;
  readonly port: number;
  readonly database: {
    readonly host: string;
    readonly port: number;
    readonly user: string;
    readonly password: string;
    readonly database: string;
  };
  /** Heavy requests of one address. */
  readonly mostAMinute: number;
  readonly webRoot: string;
  readonly demoRoot: string;
  readonly logLevel: string;
}

const check = new Ajv({ useDefaults: true, coerceTypes: true, removeAdditional: 'all', allErrors: true }).compile(
  Type.Object(Environment.properties, { additionalProperties: false }),
);

/** A setting cannot be used; the message names it. */
export class ConfigError extends Error {}

/** @throws ConfigError */
export function readConfig(env: Readonly<Record<string, string | undefined>>): Config {
  const said = Object.fromEntries(Object.entries(env).filter(([, value]) => value !== undefined));
  if (!isEnvironment(said))
    throw new ConfigError(
      (check.errors ?? []).map((error) => `${error.instancePath.slice(1)} ${error.message ?? 'is wrong'}`).join('; '),
    );
  return {
    host: said.ALVEX_HOST,
    port: said.ALVEX_PORT,
    database: {
      host: said.ALVEX_DB_HOST,
      port: said.ALVEX_DB_PORT,
      user: said.ALVEX_DB_USER,
      password: said.ALVEX_DB_PASSWORD,
      database: said.ALVEX_DB_NAME,
    },
    mostAMinute: said.ALVEX_MOST_A_MINUTE,
    webRoot: said.ALVEX_WEB_ROOT,
    demoRoot: said.ALVEX_DEMO_ROOT,
    logLevel: said.ALVEX_LOG,
  };
}

const isEnvironment = (value: unknown): value is Environment => check(value);
