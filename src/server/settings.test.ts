import { existsSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readSettings, SETTING_NAMES, WrongSetting } from './settings';

describe('readSettings', () => {
  it('has what is usual where nothing is set, or nothing is in it', () => {
    const usual = {
      ...{ MIVVEL_HOSTS: [], MIVVEL_BACKUP_HOURS: 24, MIVVEL_LOG: 'info' },
      ...{ MIVVEL_PROXY: 'no', MIVVEL_MAIL_FROM: 'mivvel@localhost.invalid' },
    };
    expect(readSettings({})).toEqual(usual);
    expect(readSettings({ MIVVEL_LOG: '', MIVVEL_DATA: '' })).toEqual(usual);
  });

  it('reads names in small letters, and hours', () => {
    const env = { MIVVEL_HOSTS: ' Studio.lan, drums.lan ,', MIVVEL_BACKUP_HOURS: '0' };
    expect(readSettings(env)).toMatchObject({
      MIVVEL_HOSTS: ['studio.lan', 'drums.lan'],
      MIVVEL_BACKUP_HOURS: 0,
    });
  });

  it.each([
    ['MIVVEL_BACKUP_HOURS', 'daily'],
    ['MIVVEL_BACKUP_HOURS', '745'],
    ['MIVVEL_BACKUP_HOURS', '-1'],
    ['MIVVEL_LOG', 'loud'],
    ['MIVVEL_BACKUP_PASSPHRASE', 'short'],
    ['MIVVEL_SECRET', 'short'],
    ['MIVVEL_PROXY', 'maybe'],
    ['MIVVEL_SMTP', 'http://mail.example'],
    ['MIVVEL_MAIL_FROM', 'nobody'],
  ])('%s may not be %s', (name, text) => {
    expect(() => readSettings({ [name]: text })).toThrow(WrongSetting);
    expect(() => readSettings({ [name]: text })).toThrow(name);
  });
});

describe('what runs it', () => {
  const running = readFileSync('docs/running.md', 'utf8');

  it('every setting is in docs/running.md, and none besides', () => {
    const named = [...running.matchAll(/^\| `(MIVVEL_\w+)`/gm)].map(([, name]) => name);
    expect(named.sort()).toEqual([...SETTING_NAMES].sort());
  });

  it('the unit and the Dockerfile start what there is, with settings that there are', () => {
    for (const file of ['deploy/mivvel.service', 'deploy/Dockerfile']) {
      const text = readFileSync(file, 'utf8');
      expect(text).toMatch(/node_modules\/\.bin\/next"?,? "?start/);
      for (const [name] of text.matchAll(/MIVVEL_\w+/g)) expect(SETTING_NAMES).toContain(name);
    }
    const { scripts } = JSON.parse(readFileSync('package.json', 'utf8')) as {
      scripts: Record<string, string>;
    };
    const docker = readFileSync('deploy/Dockerfile', 'utf8');
    for (const [, script] of docker.matchAll(/npm run (\w+)/g)) {
      expect(scripts).toHaveProperty(script ?? '');
    }
    for (const [, from] of docker.matchAll(/^COPY (?!--)(.+) \.\/$/gm)) {
      for (const file of (from ?? '').split(' ')) expect(existsSync(file)).toBe(true);
    }
  });

  it('each threat names tests that there are', () => {
    const security = readFileSync('docs/security.md', 'utf8');
    const tests = [...security.matchAll(/`((?:src|e2e)\/[\w/.-]+)`/g)].map(
      ([, file]) => file ?? '',
    );
    expect(tests.length).toBeGreaterThan(12);
    for (const file of tests) expect(existsSync(file), file).toBe(true);
  });
});
