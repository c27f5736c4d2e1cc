import { afterEach, describe, expect, it, vi } from 'vitest';
import { paced } from './paced';

afterEach(() => vi.restoreAllMocks());

describe('news of long work', () => {
  it('comes at once, and then not more than ten times a second', () => {
    let now = 5000;
    vi.spyOn(performance, 'now').mockImplementation(() => now);
    const hear = vi.fn();
    const tell = paced(hear);
    for (let i = 0; i <= 250; i += 1) {
      tell(i);
      now += 1;
    }
    expect(hear.mock.calls).toEqual([[0], [100], [200]]);
  });
});
