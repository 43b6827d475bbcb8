export { type Mend, mendsOf } from './mend.ts'
