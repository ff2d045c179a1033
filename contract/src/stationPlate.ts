import { HANDLINGS } from 'core/wok/heat/parameters'
import { COATING_MOST_C, HEAT_SOURCES } from 'core/wok/heat/vessel'
import { z } from 'zod'
import { InstantMs, Slug } from './ids'

const METRES = 'in metres, from 0.1 to 2: 36 cm is 0.36'
const metres = z.number().min(0.1, METRES).max(2, METRES)

/** A station by its plate and a tape measure, with what a calibration found of it. */
export const StationPlate = z
  .strictObject({
    kind: z.enum(['wok', 'pan', 'pot', 'griddle']),
    diameterM: metres.nullable(),
    plateM: z.strictObject({ width: metres, length: metres }).nullable(),
    depthM: z.number().min(0.01).max(1).nullable(),
    massKg: z.number().min(0.2, 'at least 0.2 kg').max(300, 'at most 300 kg'),
    powerW: z.number().min(300, 'in watts, at least 300: 3.5 kW is 3500').max(60_000, 'at most 60,000 W'),
    efficiency: z.number().min(0.05, 'at least 0.05').max(0.98, 'at most 0.98'),
    source: z.enum(HEAT_SOURCES),
    holdC: z.number().min(120, 'at least 120 °C').max(450, 'at most 450 °C'),
    zoneShare: z.number().min(0.1).max(0.95).nullable(),
    contact: z.number().min(0.3).max(2).nullable(),
    liftKg: z.number().min(0.5, 'at least 0.5 kg').max(20, 'at most 20 kg').nullable().optional(),
    isCoated: z.boolean().optional(),
  })
  .superRefine((one, context) => {
    if (one.kind === 'griddle' && one.plateM === null)
      context.addIssue({ code: 'custom', path: ['plateM'], message: 'a griddle zone needs its width and length' })
    if (one.kind !== 'griddle' && one.diameterM === null)
      context.addIssue({ code: 'custom', path: ['diameterM'], message: `a ${one.kind} needs its diameter` })
    if (one.isCoated && one.holdC > COATING_MOST_C)
      context.addIssue({
        code: 'custom',
        path: ['holdC'],
        message: `a coating bears ${COATING_MOST_C} °C at most: give no more, or say that it is bare metal`,
      })
    if (one.isCoated && one.kind === 'griddle')
      context.addIssue({ code: 'custom', path: ['isCoated'], message: 'a griddle is scraped: it has no coating' })
    if (one.kind === 'wok' && one.depthM !== null && one.depthM > (one.diameterM ?? Infinity) / 2)
      context.addIssue({
        code: 'custom',
        path: ['depthM'],
        message: 'more than half the diameter: a wok is a shallow cap',
      })
  })
export type StationPlate = z.infer<typeof StationPlate>

const seconds = z.number().min(1).max(3600)
/** A litre of water and a watch; the dry vessel to first smoke; the bared metal after a load. */
export const StationReadings = z.strictObject({
  water: z
    .strictObject({
      litres: z.number().min(0.2).max(5),
      fromC: z.number().min(0).max(60),
      toC: z.number().min(30).max(95),
      seconds,
    })
    .refine((one) => one.toC - one.fromC >= 10, { path: ['toC'], message: 'at least 10 °C above where it began' })
    .nullable(),
  dry: z.strictObject({ toC: z.number().min(100).max(350), seconds }).nullable(),
  load: z
    .strictObject({
      massG: z.number().min(50).max(5000),
      riceTempC: z.number().min(0).max(40),
      startMetalC: z.number().min(100).max(350),
      atS: z.number().min(10).max(300),
      metalC: z.number().min(40).max(350),
      handling: z.enum(HANDLINGS),
    })
    .nullable(),
})
export type StationReadings = z.infer<typeof StationReadings>

/** A station as it is known now; version 0 is what is usual for its kind and power, which nobody has said yet. */
export const StationPlateState = z.strictObject({
  stationId: Slug,
  version: z.int().min(0),
  plate: StationPlate,
  /** One standard deviation of the efficiency, against it. */
  efficiencyError: z.number().min(0).max(1),
  calibratedAtMs: InstantMs.nullable(),
})
export type StationPlateState = z.infer<typeof StationPlateState>

/** A version of a station: who saved it when, and what was read where it was calibrated. */
export const StationVersion = StationPlateState.extend({
  savedAtMs: InstantMs,
  staffId: Slug.nullable(),
  readings: StationReadings.nullable(),
})
export type StationVersion = z.infer<typeof StationVersion>
/** The versions of a station, newest first. */
export const StationVersions = z.strictObject({ versions: z.array(StationVersion) })

/** A plate that somebody changed, over the version that they saw. */
export const PutStationPlate = z.strictObject({
  version: z.int().min(0),
  plate: StationPlate,
  staffId: Slug.nullable(),
})
export type PutStationPlate = z.infer<typeof PutStationPlate>
/** Readings of a calibration, over the version that was seen. */
export const PostCalibration = z
  .strictObject({ version: z.int().min(0), readings: StationReadings, staffId: Slug.nullable() })
  .refine(({ readings }) => readings.water !== null || readings.dry !== null || readings.load !== null, {
    path: ['readings'],
    message: 'nothing was read: give at least one reading',
  })
export type PostCalibration = z.infer<typeof PostCalibration>
