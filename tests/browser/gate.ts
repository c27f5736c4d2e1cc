/** A gate before the program that can be shut, as a network that fails, and behind which a newer program can come. */
import { createServer, request as ask, type Server } from 'node:http';
import type { AddressInfo, Socket } from 'node:net';

export interface Gate {
  url: string;
  /** From now on nothing answers. */
  shut: () => Promise<void>;
  /** It answers again, at the same address. */
  reopen: () => Promise<void>;
  /** From now on the service worker is one of another build, the files being the same. */
  renew: (build: Build) => void;
}

/** What another build says of itself; what it does not say is as it was. */
export interface Build {
  version: string;
  builtAt?: number;
  records?: number;
}

/** A service worker's text with another build told in it. */
const toldAs = (text: string, build: Build): string =>
  Object.entries(build).reduce(
    (told, [name, value]) =>
      told.replace(new RegExp(`\\b${name}:("[^"]*"|\\d+)`), `${name}:${JSON.stringify(value)}`),
    text,
  );

const SERVICE_WORKER = '/sw.js';
/** Asked for so that answers come as text, and not only where they changed. */
const WHOLE = { 'accept-encoding': 'identity', 'if-none-match': '', 'if-modified-since': '' };

/** Stands before the program at `target`. */
export async function gateBefore(target: string): Promise<Gate> {
  const { hostname, port } = new URL(target);
  let build: Build | null = null;
  let server: Server;
  const sockets = new Set<Socket>();
  const listen = (at: number): Promise<number> => {
    server = createServer((from, to) => {
      const onward = ask(
        {
          hostname,
          port,
          path: from.url,
          method: from.method,
          headers: { ...from.headers, host: `${hostname}:${port}`, ...WHOLE },
        },
        (answer) => {
          const other = build;
          if (from.url !== SERVICE_WORKER || !other) {
            to.writeHead(answer.statusCode ?? 502, answer.headers);
            answer.pipe(to);
            return;
          }
          let text = '';
          answer.setEncoding('utf8').on('data', (part: string) => (text += part));
          answer.on('end', () => {
            to.writeHead(200, { 'content-type': 'application/javascript' });
            to.end(toldAs(text, other));
          });
        },
      );
      onward.on('error', () => to.destroy());
      from.pipe(onward);
    });
    server.on('connection', (socket) => {
      sockets.add(socket);
      socket.once('close', () => sockets.delete(socket));
    });
    return new Promise((done) => {
      server.listen(at, hostname, () => done((server.address() as AddressInfo).port));
    });
  };
  const own = await listen(0);
  return {
    url: `http://${hostname}:${own}`,
    shut: () =>
      new Promise((done) => {
        server.close(() => done());
        for (const socket of sockets) socket.destroy();
      }),
    reopen: async () => {
      await listen(own);
    },
    renew: (other) => {
      build = other;
    },
  };
}
