import { useMutation } from '@tanstack/react-query'
import { IncomingArchive, PART_BYTES, RestoredKitchen } from 'contract/archive'
import { useState } from 'react'
import { NoAnswer, sendFile, sendJson } from '../device/http'

/** A year of a kitchen is read within a minute; a slow machine gets more. */
const READING_MS = 600_000
const PART_TYPE = 'application/octet-stream'
const MOST_TRIES = 20
const WAIT_MS = 1500

/**
 * Sends an archive part by part and has it read; a part that found no network is sent again.
 * @returns the mutation, and how much of the file was sent, 0 to 1
 */
export function useRestore() {
  const [sentShare, setSentShare] = useState(0)
  const restore = useMutation({
    mutationFn: async (file: File) => {
      setSentShare(0)
      for (let at = 0; at < file.size;) {
        at = await sendPart(at, await file.slice(at, at + PART_BYTES).arrayBuffer())
        setSentShare(at / file.size)
      }
      return sendJson('POST', '/incoming-archive/read', { bytes: Math.max(1, file.size) }, RestoredKitchen, READING_MS)
    },
  })
  return { restore, sentShare }
}

async function sendPart(at: number, part: ArrayBuffer): Promise<number> {
  for (let tries = 1; ; tries += 1) {
    try {
      return (await sendFile(`/incoming-archive?at=${at}`, part, PART_TYPE, IncomingArchive)).bytes
    } catch (error) {
      if (!(error instanceof NoAnswer) || tries >= MOST_TRIES) throw error
      await new Promise((resolve) => setTimeout(resolve, WAIT_MS))
    }
  }
}
