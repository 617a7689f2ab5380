import { createHmac } from "node:crypto";

const ALPHABET = "ABCDEFGHIJKLMNOPQRSTUVWXYZ234567";

/** The bytes of a text in base 32 (RFC 4648). */
function fromBase32(text: string): Buffer {
  const bits = [...text.replace(/[=\s]/gu, "").toUpperCase()]
    .map((sign) => ALPHABET.indexOf(sign).toString(2).padStart(5, "0"))
    .join("");
  return Buffer.from((bits.match(/.{8}/gu) ?? []).map((byte) => Number.parseInt(byte, 2)));
}

/** The six digits that a device shows at a moment for a secret in base 32 (RFC 6238, SHA-1, half a minute). */
export function codeOf(secret: string, at: number): string {
  const counter = Buffer.alloc(8);
  counter.writeBigUInt64BE(BigInt(Math.floor(at / 30_000)));
  const mac = createHmac("sha1", fromBase32(secret)).update(counter).digest();
  const from = (mac.at(-1) ?? 0) & 0xf;
  return String((mac.readUInt32BE(from) & 0x7fffffff) % 1_000_000).padStart(6, "0");
}

/** The code that a device shows which was set up by an `otpauth` address; `ahead` is for the next half minutes. */
export const codeFor = (address: string, ahead = 0): string =>
  codeOf(new URL(address).searchParams.get("secret") ?? "", Date.now() + ahead * 30_000);
