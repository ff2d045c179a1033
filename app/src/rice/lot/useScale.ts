import { useMutation } from '@tanstack/react-query'
import { ScaleWeight } from 'contract/devices'
import { getJson } from '../../device/http'

/** Takes what the scale shows while the lot is held to it, as soon as it is settled. */
export const useScale = (lotId: string, onWeighed: (massG: number) => void) =>
  useMutation({
    mutationFn: () => getJson(`/scale?lotId=${lotId}`, ScaleWeight),
    onSuccess: ({ massG, isSettled }) => {
      if (isSettled) onWeighed(massG)
    },
  })
