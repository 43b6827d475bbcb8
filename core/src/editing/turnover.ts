const HOUR_S = 3600

/** The flow that turns a volume of water over so often an hour, m³/s. */
export const flowOfTurnover = (turnoverPerH: number, volumeM3: number): number =>
  (turnoverPerH * volumeM3) / HOUR_S

/** How often an hour a flow turns a volume of water over. */
export const turnoverOfFlow = (flowM3PerS: number, volumeM3: number): number =>
  (flowM3PerS * HOUR_S) / volumeM3
