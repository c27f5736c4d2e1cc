import { afterEach, describe, expect, it, vi } from 'vitest';
import { answerDemo } from './demoRequest';
import { onlyGet } from './requests';

const ask = (host = '127.0.0.1') =>
  answerDemo(new Request('http://127.0.0.1/api/demo', { headers: { host } }));

afterEach(() => vi.unstubAllEnvs());

describe('GET /api/demo', () => {
  it('tells how the program was started, and is kept by nobody', async () => {
    vi.stubEnv('HALO_DEMO', '1');
    expect(await ask().json()).toEqual({ wanted: true });
    vi.stubEnv('HALO_DEMO', '');
    expect(await ask().json()).toEqual({ wanted: false });
    expect(ask().headers.get('cache-control')).toBe('no-store');
  });

  it('is for this machine’s names alone, and for no other method', () => {
    expect(ask('elsewhere.example').status).toBe(421);
    expect([onlyGet().status, onlyGet().headers.get('allow')]).toEqual([405, 'GET']);
  });
});
