import { createHash, type KeyLike, verify, X509Certificate } from "node:crypto";
import type { Element } from "@xmldom/xmldom";
import { type SignatureAlgorithm, SignedXml } from "xml-crypto";
import { childrenOf, readXml, textAt } from "./read-xml";

/** What a signature says of a file. Only `trusted` says who sent it; `sound` says that nothing was changed since somebody signed. */
export type SignatureState = "trusted" | "sound" | "invalid" | "unsigned";

export interface Verified {
  readonly state: SignatureState;
  /** Whom the certificate names. */
  readonly signer: string | null;
  /** The bytes that were verified: only these may be read. Null unless the signature is sound. */
  readonly signed: string | null;
}

const DSIG = "http://www.w3.org/2000/09/xmldsig#";
const ENVELOPED = `${DSIG}enveloped-signature`;
const CANONICAL = [
  "http://www.w3.org/TR/2001/REC-xml-c14n-20010315",
  "http://www.w3.org/2001/10/xml-exc-c14n#",
] as const;
const DIGESTS = ["http://www.w3.org/2001/04/xmlenc#sha256", "http://www.w3.org/2001/04/xmlenc#sha512"];
const METHODS = "http://www.w3.org/2001/04/xmldsig-more#";
/** Signature methods by the kind of key that they want. */
const SIGNATURES: Readonly<Record<string, "rsa" | "ec">> = {
  [`${METHODS}rsa-sha256`]: "rsa",
  [`${METHODS}rsa-sha512`]: "rsa",
  [`${METHODS}ecdsa-sha256`]: "ec",
  [`${METHODS}ecdsa-sha384`]: "ec",
  [`${METHODS}ecdsa-sha512`]: "ec",
};
const LEAST_RSA_BITS = 2048;
const CURVES: readonly (string | undefined)[] = ["prime256v1", "secp384r1", "secp521r1"];

/** ECDSA (RFC 4051, section 2.3.6): the signature is its two numbers one after the other, each as long as the curve's. */
function ecdsa(digest: "sha256" | "sha384" | "sha512"): new () => SignatureAlgorithm {
  return class implements SignatureAlgorithm {
    getAlgorithmName(): string {
      return `${METHODS}ecdsa-${digest}`;
    }

    verifySignature(material: string, key: KeyLike, signatureValue: string): boolean {
      const checked = { key: key as string | Buffer, dsaEncoding: "ieee-p1363" as const };
      return verify(digest, Buffer.from(material), checked, Buffer.from(signatureValue, "base64"));
    }

    getSignature(): string {
      throw new Error("files are not signed here");
    }
  };
}

const INVALID: Verified = { state: "invalid", signer: null, signed: null };

const algorithm = (element: Element | undefined): string => element?.getAttribute("Algorithm") ?? "";

function allSignatures(element: Element): readonly Element[] {
  const found = element.getElementsByTagNameNS(DSIG, "Signature");
  return Array.from({ length: found.length }, (_, i) => found.item(i)).filter((e) => e !== null);
}

const methodOf = (signature: Element): string =>
  algorithm(childrenOf(signature, "SignedInfo").flatMap((info) => childrenOf(info, "SignatureMethod"))[0]);

/** One reference over the whole document, by methods that are known to be sound; anything else is how signatures are wrapped. */
function isPlain(signature: Element): boolean {
  const [info] = childrenOf(signature, "SignedInfo");
  if (!info) return false;
  const references = childrenOf(info, "Reference");
  const [reference] = references;
  if (references.length !== 1 || !reference || reference.getAttribute("URI") !== "") return false;
  const transforms = childrenOf(reference, "Transforms").flatMap((t) => childrenOf(t, "Transform").map(algorithm));
  const known: readonly string[] = [ENVELOPED, ...CANONICAL];
  return (
    transforms.includes(ENVELOPED) &&
    transforms.every((t) => known.includes(t)) &&
    CANONICAL.some((c) => c === algorithm(childrenOf(info, "CanonicalizationMethod")[0])) &&
    Object.hasOwn(SIGNATURES, methodOf(signature)) &&
    DIGESTS.includes(algorithm(childrenOf(reference, "DigestMethod")[0]))
  );
}

function certificateOf(signature: Element): X509Certificate | null {
  const data = childrenOf(signature, "KeyInfo").flatMap((k) => childrenOf(k, "X509Data"));
  const text = textAt(data[0], "X509Certificate").replace(/\s+/gu, "");
  if (!/^[A-Za-z0-9+/]+=*$/u.test(text)) return null;
  try {
    return new X509Certificate(Buffer.from(text, "base64"));
  } catch {
    return null;
  }
}

/** Whether the key of a certificate is of the kind that the method wants, and strong. */
function isStrong({ publicKey }: X509Certificate, method: string): boolean {
  const { asymmetricKeyType, asymmetricKeyDetails } = publicKey;
  if (asymmetricKeyType !== SIGNATURES[method]) return false;
  return asymmetricKeyType === "rsa"
    ? (asymmetricKeyDetails?.modulusLength ?? 0) >= LEAST_RSA_BITS
    : CURVES.includes(asymmetricKeyDetails?.namedCurve);
}

/** By what a certificate is known: the SHA-256 of its bytes, in hexadecimal. */
export function fingerprintOf(certificate: X509Certificate): string {
  return createHash("sha256").update(certificate.raw).digest("hex");
}

/**
 * Checks an enveloped signature (XML Signature, W3C Recommendation 2013): exactly one, a child of the root, over the whole document.
 * @param trusted fingerprints of the certificates of senders whom the office trusts
 */
export function verifySignature(root: Element, text: string, trusted: ReadonlySet<string>): Verified {
  const all = allSignatures(root);
  const [signature] = all;
  if (!signature) return { state: "unsigned", signer: null, signed: null };
  if (all.length !== 1 || signature.parentNode !== root || !isPlain(signature)) return INVALID;
  const certificate = certificateOf(signature);
  if (!certificate || !isStrong(certificate, methodOf(signature))) return INVALID;
  try {
    const check = new SignedXml({ publicCert: certificate.toString(), getCertFromKeyInfo: () => null });
    for (const digest of ["sha256", "sha384", "sha512"] as const)
      check.SignatureAlgorithms[`${METHODS}ecdsa-${digest}`] = ecdsa(digest);
    check.loadSignature(signature.toString());
    if (!check.checkSignature(text)) return INVALID;
    const [signed] = check.getSignedReferences();
    if (signed === undefined || !readXml(new TextEncoder().encode(signed)).ok) return INVALID;
    return {
      state: trusted.has(fingerprintOf(certificate)) ? "trusted" : "sound",
      signer: /^CN=(.+)$/mu.exec(certificate.subject)?.[1] ?? certificate.subject,
      signed,
    };
  } catch {
    return INVALID;
  }
}
