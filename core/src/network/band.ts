/** How well the losses are known (hydraulics reference, §3): fittings but exits ± 20 %, friction ± 5 %. */
export const FITTINGS_BAND = 0.2
export const FRICTION_BAND = 0.05
