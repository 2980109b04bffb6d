import { createServer } from 'node:net';

function listens(port) {
  return new Promise((resolve) => {
    const server = createServer()
      .once('error', () => resolve(null))
      .once('listening', () => {
        const { port: found } = server.address();
        server.close(() => resolve(found));
      })
      .listen(port);
  });
}

/** The first free port from one up; without one, any that is free.
 * @param {number} [from]
 * @returns {Promise<number>} */
export async function freePort(from = 0) {
  for (let port = from; port < from + 1000; port += 1) {
    const found = await listens(port);
    if (found) return found;
  }
  throw new Error(`no free port from ${from} up`);
}
