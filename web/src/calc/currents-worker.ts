import { expose } from 'comlink'
import { currentsCalls } from './currents-calls.ts'

expose(currentsCalls)
