/** A strict content policy on every page: own scripts only, nothing from anywhere else. */
import { refuseHost } from '@/api/hosts';
import { NextResponse, type NextRequest } from 'next/server';

function policy(nonce: string): string {
  const development = process.env.NODE_ENV === 'development';
  return [
    "default-src 'none'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${development ? " 'unsafe-eval'" : ''}`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' blob: data:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self'",
    "manifest-src 'self'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');
}

export function proxy(request: NextRequest): Response {
  const misled = refuseHost(request.headers);
  if (misled) return misled;
  const nonce = btoa(crypto.randomUUID());
  const csp = policy(nonce);
  const headers = new Headers(request.headers);
  headers.set('x-nonce', nonce);
  headers.set('content-security-policy', csp);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set('content-security-policy', csp);
  return response;
}

/** Pages alone: what passes here has its body cut at 10 MB, and frames are larger. */
export const config = { matcher: ['/((?!api/|_next/static|_next/image|icon.svg).*)'] };
