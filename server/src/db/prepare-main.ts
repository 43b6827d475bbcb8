import { prepare } from './prepare.ts'

const { YEW_OWNER_URL: ownerUrl, YEW_APP_ROLE: appRole } = process.env
if (!ownerUrl || !appRole) {
  console.error('YEW_OWNER_URL and YEW_APP_ROLE are not set; start the application with npm start')
  process.exit(2)
}
const ran = await prepare(ownerUrl, appRole)
for (const name of ran) console.log(`  ran ${name}`)
