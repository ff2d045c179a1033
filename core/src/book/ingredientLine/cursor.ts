import { readNumber } from '../../measure/readNumber'

/** A place in a text that patterns move on. */
export class Cursor {
  constructor(
    readonly text: string,
    public at: number,
  ) {}

  take(pattern: RegExp): RegExpExecArray | null {
    pattern.lastIndex = this.at
    const found = pattern.exec(this.text)
    if (found) this.at = pattern.lastIndex
    return found
  }

  number(): number | null {
    const read = readNumber(this.text, this.at)
    if (!read) return null
    this.at = read.end
    return read.value
  }
}
