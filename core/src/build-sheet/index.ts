export { cutList, type CutPanel } from './cut-list.ts'
