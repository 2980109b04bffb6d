import { createServer, type AddressInfo, type Server } from 'node:net';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { must } from '@/core/issue';
import { getOwned, inviteTeacher } from '..';
import { ownedStudio, WORDS } from './access.fixture';

/** A mail server that takes one letter, or none (RFC 5321).
 * @returns what was said to it, line by line */
async function mailServer(takes: boolean): Promise<{
  readonly url: string;
  readonly heard: string[];
  readonly server: Server;
}> {
  const heard: string[] = [];
  const server = createServer((socket) => {
    let inLetter = false;
    socket.write('220 mail\r\n');
    socket.on('data', (chunk) => {
      for (const line of chunk.toString().split('\r\n')) {
        heard.push(line);
        if (inLetter) {
          if (line !== '.') continue;
          inLetter = false;
          socket.write('250 taken\r\n');
        } else if (line === 'DATA') {
          inLetter = takes;
          socket.write(takes ? '354 go on\r\n' : '554 no\r\n');
        } else if (line === 'QUIT') socket.end('221 bye\r\n');
        else if (line !== '') socket.write('250 fine\r\n');
      }
    });
  });
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  return { url: `smtp://127.0.0.1:${(server.address() as AddressInfo).port}`, heard, server };
}

afterEach(() => vi.unstubAllEnvs());

describe('mail', () => {
  it('goes through the server that is set, and none of it waits here', async () => {
    const { url, heard, server } = await mailServer(true);
    vi.stubEnv('MIVVEL_SMTP', url);
    vi.stubEnv('MIVVEL_MAIL_FROM', 'drums@mole-end.example');
    const { owner } = await ownedStudio();
    must(inviteTeacher(owner, 'bo@mole-end.example', WORDS));
    await expect.poll(() => heard.includes('.'), { timeout: 20_000 }).toBe(true);
    expect(heard).toContain('MAIL FROM:<drums@mole-end.example>');
    expect(heard).toContain('RCPT TO:<bo@mole-end.example>');
    expect(heard).toContain('Subject: Mivvel');
    expect(getOwned(owner).mails).toEqual([]);
    server.close();
  });

  it('that no server takes waits for the owner', async () => {
    const { url, server } = await mailServer(false);
    vi.stubEnv('MIVVEL_SMTP', url);
    vi.stubEnv('MIVVEL_LOG', 'silent');
    const { owner } = await ownedStudio();
    must(inviteTeacher(owner, 'bo@mole-end.example', WORDS));
    await expect.poll(() => getOwned(owner).mails.length, { timeout: 20_000 }).toBe(1);
    expect(getOwned(owner).mails[0]?.to).toBe('bo@mole-end.example');
    server.close();
  });

  it('has one subject, whatever a studio is called', async () => {
    const { url, heard, server } = await mailServer(true);
    vi.stubEnv('MIVVEL_SMTP', url);
    const { owner } = await ownedStudio();
    const words = () => ({ subject: 'Mole End\r\nBcc: all@evil.example', text: 'x' });
    must(inviteTeacher(owner, 'bo@mole-end.example', { ...WORDS, words }));
    await expect.poll(() => heard.includes('.'), { timeout: 20_000 }).toBe(true);
    expect(heard.filter((line) => /^bcc/i.test(line))).toEqual([]);
    expect(heard.filter((line) => line.startsWith('RCPT'))).toHaveLength(1);
    server.close();
  });
});
