import { readFileSync } from 'node:fs'
import { LOOPBACK_NAMES } from './http/ownPages'
import type { Network } from './server'

type NetworkSettings = {
  OKAZU_HOST: string
  OKAZU_NAMES: string
  OKAZU_TLS_CERT?: string | undefined
  OKAZU_TLS_KEY?: string | undefined
}

const isLoopback = (host: string) => host.startsWith('127.') || host === '::1'
const isEverywhere = (host: string) => host === '0.0.0.0' || host === '::'
const asName = (host: string) => (host.includes(':') ? `[${host}]` : host)

/**
 * Where the server listens and what it answers to: this machine alone, unless OKAZU_HOST names another address of it;
 * OKAZU_NAMES are further names, such as that of a reverse proxy. @throws {Error} where a certificate lacks its key
 */
export function networkOf({ OKAZU_HOST, OKAZU_NAMES, OKAZU_TLS_CERT, OKAZU_TLS_KEY }: NetworkSettings): Network {
  if ((OKAZU_TLS_CERT === undefined) !== (OKAZU_TLS_KEY === undefined))
    throw new Error('OKAZU_TLS_CERT and OKAZU_TLS_KEY belong together: give the files of both, or of neither')
  const own = OKAZU_NAMES.split(',').map((name) => name.trim().toLowerCase())
  const names = [...LOOPBACK_NAMES, ...(isEverywhere(OKAZU_HOST) ? [] : [asName(OKAZU_HOST)]), ...own]
  const tls =
    OKAZU_TLS_CERT !== undefined && OKAZU_TLS_KEY !== undefined
      ? { cert: readFileSync(OKAZU_TLS_CERT, 'utf8'), key: readFileSync(OKAZU_TLS_KEY, 'utf8') }
      : null
  return { host: OKAZU_HOST, names: [...new Set(names)].filter((name) => name !== ''), tls }
}

const shownName = ({ host, names }: Pick<Network, 'host' | 'names'>): string =>
  isLoopback(host) ? '127.0.0.1' : (names.find((name) => !LOOPBACK_NAMES.includes(name)) ?? '127.0.0.1')

/** The address that is opened in a browser. */
export const baseOf = (network: Network, port: number): string =>
  `${network.tls ? 'https' : 'http'}://${shownName(network)}:${port}`

/** What the start says: the addresses to open, and what to know where others on the network reach it. */
export function whereToOpen({ host, names, tls }: Network, port: number): string[] {
  const shown = shownName({ host, names })
  const ready = `Okazu is ready at ${baseOf({ host, names, tls }, port)}`
  if (isLoopback(host)) return [ready]
  return [
    ready,
    ...(tls
      ? []
      : ['Others on this network can read what is sent: give OKAZU_TLS_CERT and OKAZU_TLS_KEY, see docs/network.md']),
    ...(isEverywhere(host) && shown === '127.0.0.1'
      ? [
          'It answers to no name but this machine\u2019s own: give the names that phones open in OKAZU_NAMES, see docs/network.md',
        ]
      : []),
  ]
}
