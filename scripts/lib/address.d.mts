export const LOOPBACK: string;
export class AddressProblem extends Error {}
export function portFrom(told: string | undefined, fallback: number): number;
export function hostFrom(told: string | undefined): string;
export function hostInUrl(host: string): string;
export function namesFrom(told: string | undefined): string[];
export function addressFrom(
  env: Record<string, string | undefined>,
  port: number,
): { host: string; port: number };
