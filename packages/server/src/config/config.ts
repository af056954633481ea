/** Settings, from the environment. */
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
  /** Folder of the built web application. */
  readonly webRoot: string;
  /** Folder of demo documents that a new database is filled with; none when empty. */
  readonly demoRoot: string;
  readonly logLevel: string;
}

export function readConfig(env: Readonly<Record<string, string | undefined>>): Config {
  return {
    host: env.ALVEX_HOST ?? '127.0.0.1',
    port: Number(env.ALVEX_PORT ?? 4680),
    database: {
      host: env.ALVEX_DB_HOST ?? '127.0.0.1',
      port: Number(env.ALVEX_DB_PORT ?? 3306),
      user: env.ALVEX_DB_USER ?? 'alvex',
      password: env.ALVEX_DB_PASSWORD ?? '',
      database: env.ALVEX_DB_NAME ?? 'alvex',
    },
    webRoot: env.ALVEX_WEB_ROOT ?? '',
    demoRoot: env.ALVEX_DEMO_ROOT ?? '',
    logLevel: env.ALVEX_LOG ?? 'info',
  };
}
