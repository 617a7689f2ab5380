import { randomBytes } from "node:crypto";
import { type NextRequest, NextResponse } from "next/server";

/** Puts a content security policy with a fresh nonce on every page, and a request id on every request. */
function policy(nonce: string): string {
  return [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${process.env.NODE_ENV === "development" ? " 'unsafe-eval'" : ""}`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' blob: data:",
    "font-src 'self' data:",
    "connect-src 'self'",
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'self'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join("; ");
}

const YEAR_SECONDS = 31_536_000;

export function proxy(request: NextRequest): NextResponse {
  const nonce = randomBytes(16).toString("base64");
  const requestId = randomBytes(8).toString("hex");
  const headers = new Headers(request.headers);
  headers.set("x-nonce", nonce);
  headers.set("x-request-id", requestId);
  headers.set("content-security-policy", policy(nonce));
  const response = NextResponse.next({ request: { headers } });
  response.headers.set("content-security-policy", policy(nonce));
  response.headers.set("x-request-id", requestId);
  response.headers.set("x-content-type-options", "nosniff");
  response.headers.set("referrer-policy", "same-origin");
  response.headers.set("permissions-policy", "camera=(), microphone=(), geolocation=(), payment=(), usb=()");
  if (process.env.UNVEX_URL?.startsWith("https://"))
    response.headers.set("strict-transport-security", `max-age=${YEAR_SECONDS}`);
  return response;
}

// Documents go straight to their handlers: what passes here is cut at 10 MB.
export const config = { matcher: ["/((?!api/|_next/static|_next/image|favicon.ico).*)"] };
