/** What people tell by PORT, HOST and HALO_HOSTS: taken, or refused with what to tell instead. */
import { describe, expect, it } from 'vitest';
import { hostFrom, hostInUrl, namesFrom, portFrom } from './address.mjs';

describe('where the program is served', () => {
  it.each([
    [undefined, 4270],
    ['', 4270],
    ['4000', 4000],
    ['1', 1],
    ['65535', 65_535],
  ])('PORT=%s', (told, port) => {
    expect(portFrom(told, 4270)).toBe(port);
  });

  it.each(['abc', '99999', '0', '-1', '80.5', '4270x', '0x50'])('PORT=%s is told', (told) => {
    expect(() => portFrom(told, 4270)).toThrow(/is no port: give a whole number from 1 to 65535/);
  });

  it.each([
    [undefined, '127.0.0.1', '127.0.0.1'],
    ['0.0.0.0', '0.0.0.0', '127.0.0.1'],
    ['::', '::', '127.0.0.1'],
    ['[::]', '::', '127.0.0.1'],
    ['::1', '::1', '[::1]'],
    ['192.0.2.7', '192.0.2.7', '192.0.2.7'],
    ['halo.local', 'halo.local', 'halo.local'],
  ])('HOST=%s listens at %s and is found at %s', (told, host, inUrl) => {
    expect(hostFrom(told)).toBe(host);
    expect(hostInUrl(host)).toBe(inUrl);
  });

  it.each(['http://0.0.0.0', '0.0.0.0:80', 'a b', '-x'])('HOST=%s is told', (told) => {
    expect(() => hostFrom(told)).toThrow(/is no address/);
  });

  it('HALO_HOSTS: names alone', () => {
    expect(namesFrom(' Halo.example, studio.example,,2001:db8::1 ')).toEqual([
      'halo.example',
      'studio.example',
      '[2001:db8::1]',
    ]);
    expect(namesFrom(undefined)).toEqual([]);
    for (const told of ['https://halo.example', 'halo.example:8443', 'halo.example/kit'])
      expect(() => namesFrom(told)).toThrow(/names alone, such as halo.example/);
  });
});
