/**
 * What the outside devices of a kitchen must do. Each has a simulated stand-in in its folder; a real one is another
 * function that returns the same type, put in its place where `devicesOf` makes them (docs/devices.md).
 */

/** A temperature as a probe believes it, and when it was taken [ms since 1970, UTC]. */
export type ProbeReading = { tempC: number; atMs: number }
/** A probe in a tray: what it has to say at an instant, or nothing. */
export type TemperatureProbe = { read: (nowMs: number) => ProbeReading | null }

/** What a scale shows; while it moves it is not settled and must not be taken. */
export type Weight = { massG: number; isSettled: boolean }
/** A scale: what lies on it now. */
export type Scale = { weigh: () => Promise<Weight> }

/** A surface thermometer: the metal that it is held to [°C]. */
export type SurfaceThermometer = { read: () => Promise<number> }

/** A label ready to be printed: as a picture of 12 dots a millimetre and as PDF, so often. */
export type PrintedLabel = { name: string; png: Uint8Array; pdf: Uint8Array; copies: number }
/** A label printer: takes a label, or says in words why not. */
export type LabelPrinter = {
  print: (label: PrintedLabel) => Promise<{ kind: 'printed'; where: string } | { kind: 'refused'; why: string }>
}

/** A feed of tickets from elsewhere: what came after one instant, up to another. */
export type TicketFeed<Ticket> = { take: (afterMs: number, upToMs: number) => Ticket[] }
