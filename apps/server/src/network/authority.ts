import 'reflect-metadata'
import { createHash, webcrypto } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { AsnConvert } from '@peculiar/asn1-schema'
import {
  GeneralName,
  GeneralSubtree,
  GeneralSubtrees,
  id_ce_nameConstraints,
  NameConstraints,
} from '@peculiar/asn1-x509'
import {
  BasicConstraintsExtension,
  ExtendedKeyUsage,
  ExtendedKeyUsageExtension,
  Extension,
  KeyUsageFlags,
  KeyUsagesExtension,
  SubjectAlternativeNameExtension,
  SubjectKeyIdentifierExtension,
  X509Certificate,
  X509CertificateGenerator,
} from '@peculiar/x509'
import { addDays, addYears, subDays } from 'date-fns'
import { type Addresses, ownZones, privateNetworks } from './addresses.ts'

const crypto = webcrypto

const algorithm = { name: 'ECDSA', namedCurve: 'P-256', hash: 'SHA-256' } as const
/** Tablets install it once; it outlives them. */
const authorityYears = 10
/** Browsers take none that is good for longer. */
const leafDays = 397
/** The certificate is made anew when it has fewer days left. */
export const renewDays = 30

/** The shop's own authority: it speaks for this server alone, and only on private networks. */
export interface Authority {
  readonly certificate: X509Certificate
  readonly key: webcrypto.CryptoKey
  readonly pem: string
  /** SHA-256, in pairs. */
  readonly fingerprint: string
}

export interface ServerCertificate {
  readonly key: string
  readonly cert: string
  readonly until: Date
}

const files = (folder: string) => ({
  certificate: join(folder, 'authority.pem'),
  key: join(folder, 'authority-key.pem'),
})

/** The authority in a folder; made where there is none yet. */
export async function authorityIn(folder: string, now: Date): Promise<Authority> {
  const { certificate, key } = files(folder)
  if (!existsSync(certificate) || !existsSync(key)) await makeAuthority(folder, now)
  const pem = readFileSync(certificate, 'utf8')
  const read = new X509Certificate(pem)
  return {
    certificate: read,
    pem,
    key: await crypto.subtle.importKey('pkcs8', fromPem(readFileSync(key, 'utf8')), algorithm, false, ['sign']),
    fingerprint: fingerprintOf(read),
  }
}

async function makeAuthority(folder: string, now: Date): Promise<void> {
  const keys = await crypto.subtle.generateKey(algorithm, true, ['sign', 'verify'])
  const certificate = await X509CertificateGenerator.createSelfSigned({
    serialNumber: serial(),
    name: [{ CN: ['True Lay, the server of this shop'] }],
    notBefore: subDays(now, 1),
    notAfter: addYears(now, authorityYears),
    signingAlgorithm: algorithm,
    keys,
    extensions: [
      new BasicConstraintsExtension(true, 0, true),
      new KeyUsagesExtension(KeyUsageFlags.keyCertSign | KeyUsageFlags.cRLSign, true),
      await SubjectKeyIdentifierExtension.create(keys.publicKey),
      onlyPrivateNetworks(),
    ],
  })
  mkdirSync(folder, { recursive: true, mode: 0o700 })
  const { certificate: certFile, key: keyFile } = files(folder)
  const pkcs8 = Buffer.from(await crypto.subtle.exportKey('pkcs8', keys.privateKey))
  writeWhole(keyFile, toPem('PRIVATE KEY', pkcs8), 0o600)
  writeWhole(certFile, certificate.toString('pem'), 0o644)
}

/** A certificate of the server for the names and addresses it has now. */
export async function certificateFor(
  { certificate, key }: Authority,
  { names, ips }: Addresses,
  now: Date,
): Promise<ServerCertificate> {
  const keys = await crypto.subtle.generateKey(algorithm, true, ['sign', 'verify'])
  const until = addDays(now, leafDays)
  const leaf = await X509CertificateGenerator.create({
    serialNumber: serial(),
    subject: [{ CN: ['True Lay'] }],
    issuer: certificate.subjectName,
    notBefore: subDays(now, 1),
    notAfter: until,
    signingAlgorithm: algorithm,
    publicKey: keys.publicKey,
    signingKey: key,
    extensions: [
      new BasicConstraintsExtension(false, undefined, true),
      new KeyUsagesExtension(KeyUsageFlags.digitalSignature, true),
      new ExtendedKeyUsageExtension([ExtendedKeyUsage.serverAuth]),
      new SubjectAlternativeNameExtension([
        ...names.map((value) => ({ type: 'dns' as const, value })),
        ...ips.map((value) => ({ type: 'ip' as const, value })),
      ]),
    ],
  })
  const pkcs8 = Buffer.from(await crypto.subtle.exportKey('pkcs8', keys.privateKey))
  return { key: toPem('PRIVATE KEY', pkcs8), cert: leaf.toString('pem'), until }
}

/** Whoever holds the authority's key can pretend to be nothing but a machine on a private network. */
function onlyPrivateNetworks(): Extension {
  const subtree = (base: GeneralName) => new GeneralSubtree({ base })
  const permitted = new GeneralSubtrees([
    ...ownZones.map((dNSName) => subtree(new GeneralName({ dNSName }))),
    ...privateNetworks.map((iPAddress) => subtree(new GeneralName({ iPAddress }))),
  ])
  return new Extension(
    id_ce_nameConstraints,
    true,
    AsnConvert.serialize(new NameConstraints({ permittedSubtrees: permitted })),
  )
}

const serial = () => Buffer.from(crypto.getRandomValues(new Uint8Array(16))).toString('hex')

const toPem = (label: string, bytes: Buffer): string =>
  `-----BEGIN ${label}-----\n${bytes.toString('base64').replace(/.{64}/g, '$&\n').trimEnd()}\n-----END ${label}-----\n`

const fromPem = (pem: string): Buffer => Buffer.from(pem.replace(/-----[^-]+-----|\s/g, ''), 'base64')

const fingerprintOf = (certificate: X509Certificate): string =>
  (createHash('sha256').update(Buffer.from(certificate.rawData)).digest('hex').toUpperCase().match(/../g) ?? []).join(
    ' ',
  )

/** Whole or not at all: a power cut leaves no half key. */
function writeWhole(file: string, text: string, mode: number): void {
  writeFileSync(`${file}.new`, text, { mode })
  renameSync(`${file}.new`, file)
}
