export {
  type Displacement,
  grossVolumeM3,
  rockVolumeM3,
  sandDepthM,
  sandVolumeM3,
  type TankBox,
} from './volume.ts'
