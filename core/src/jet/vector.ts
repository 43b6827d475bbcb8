/** A direction or a speed in space: x right, y back, z up. */
export interface Vector {
  readonly x: number
  readonly y: number
  readonly z: number
}

const RAD_PER_DEG = Math.PI / 180

/** Scalar product. */
export function dot(a: Vector, b: Vector): number {
  return a.x * b.x + a.y * b.y + a.z * b.z
}

/** Where a turn and a tilt point: turn 0 to the right, a quarter to the back; tilt upwards. Degrees. */
export function pointing(turnDeg: number, tiltDeg: number): Vector {
  const turnRad = turnDeg * RAD_PER_DEG
  const tiltRad = tiltDeg * RAD_PER_DEG
  const level = Math.cos(tiltRad)
  return {
    x: level * Math.cos(turnRad),
    y: level * Math.sin(turnRad),
    z: Math.sin(tiltRad),
  }
}
