import { createHash, generateKeyPairSync, type KeyObject, randomBytes, sign } from "node:crypto";

/**
 * A device that makes passkeys and signs with them, as the standard has it (W3C Web Authentication, level 3, sections 6.1 and 6.5):
 * ES256 keys, no attestation.
 */
export class PasskeyDevice {
  readonly id = randomBytes(16).toString("base64url");
  readonly #keys: { publicKey: KeyObject; privateKey: KeyObject };
  #uses = 0;

  /** @param site the address at which it is used @param asks whether it makes sure of its owner */
  constructor(
    private readonly site: string,
    private readonly asks = true,
  ) {
    this.#keys = generateKeyPairSync("ec", { namedCurve: "P-256" });
  }

  #said(type: "webauthn.create" | "webauthn.get", challenge: string): Buffer {
    return Buffer.from(JSON.stringify({ type, challenge, origin: this.site, crossOrigin: false }));
  }

  /** The hash of the site's name, what was made sure of, how often it was used, and what belongs to a new key. */
  #data(added: Buffer | null): Buffer {
    const [present, verified, attested] = [1, 4, 64];
    const flags = present | (this.asks ? verified : 0) | (added ? attested : 0);
    const uses = Buffer.alloc(4);
    uses.writeUInt32BE(this.#uses);
    const name = createHash("sha256").update(new URL(this.site).hostname).digest();
    return Buffer.concat([name, Buffer.from([flags]), uses, added ?? Buffer.alloc(0)]);
  }

  /** The public key as COSE writes it (RFC 9053, section 2.1). */
  #coseKey(): Buffer {
    const { x = "", y = "" } = this.#keys.publicKey.export({ format: "jwk" });
    const start = Buffer.from("a5010203262001215820", "hex");
    return Buffer.concat([
      start,
      Buffer.from(x, "base64url"),
      Buffer.from("225820", "hex"),
      Buffer.from(y, "base64url"),
    ]);
  }

  /** Makes its key for a challenge. */
  make(challenge: string) {
    const id = Buffer.from(this.id, "base64url");
    const length = Buffer.from([0, id.length]);
    const data = this.#data(Buffer.concat([Buffer.alloc(16), length, id, this.#coseKey()]));
    const attestation = Buffer.concat([
      Buffer.from("a363666d74646e6f6e656761747453746d74a068617574684461746158", "hex"), // {fmt: "none", attStmt: {}, authData:
      Buffer.from([data.length]),
      data,
    ]);
    return {
      ...this.#common(),
      response: {
        clientDataJSON: this.#said("webauthn.create", challenge).toString("base64url"),
        attestationObject: attestation.toString("base64url"),
      },
    };
  }

  /** Signs a challenge. */
  sign(challenge: string) {
    this.#uses += 1;
    const [data, said] = [this.#data(null), this.#said("webauthn.get", challenge)];
    const signed = Buffer.concat([data, createHash("sha256").update(said).digest()]);
    return {
      ...this.#common(),
      response: {
        clientDataJSON: said.toString("base64url"),
        authenticatorData: data.toString("base64url"),
        signature: sign("sha256", signed, this.#keys.privateKey).toString("base64url"),
      },
    };
  }

  #common() {
    return { id: this.id, rawId: this.id, type: "public-key" as const, clientExtensionResults: {} };
  }
}
