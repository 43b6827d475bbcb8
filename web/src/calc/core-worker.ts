import { expose } from 'comlink'
import { coreCalls } from './core-calls.ts'

expose(coreCalls)
