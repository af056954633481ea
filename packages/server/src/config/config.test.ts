import { expect, test } from '@jest/globals';
import { ConfigError, readConfig } from './config.ts';

test('what is not said is as usual', () => {
  expect(readConfig({ PATH: '/bin', ALVEX_PORT: undefined })).toEqual({
    host: '127.0.0.1',
    port: 4680,
    mostAMinute: 600,
    database: { host: '127.0.0.1', port: 3306, user: 'alvex', password: '', database: 'alvex' },
    webRoot: '',
    demoRoot: '',
    logLevel: 'info',
  });
});

test('what is said counts', () => {
  const config = readConfig({
    ALVEX_PORT: '4700',
    ALVEX_DB_NAME: 'alvex_test',
    ALVEX_LOG: 'warn',
    ALVEX_HOST: '0.0.0.0',
  });
  expect(config).toMatchObject({ port: 4700, host: '0.0.0.0', logLevel: 'warn', database: { database: 'alvex_test' } });
});

test.each([
  [{ ALVEX_PORT: 'high' }, 'ALVEX_PORT'],
  [{ ALVEX_PORT: '70000' }, 'ALVEX_PORT'],
  [{ ALVEX_LOG: 'loud' }, 'ALVEX_LOG'],
  [{ ALVEX_DB_NAME: 'a;b' }, 'ALVEX_DB_NAME'],
])('%j is refused by its name', (env, name) => {
  expect(() => readConfig(env)).toThrow(ConfigError);
  expect(() => readConfig(env)).toThrow(name);
});
