/** What is set for the server from outside; nothing else reads the environment. */
export interface Settings {
  readonly databaseUrl: string
  readonly sessionSecret: string
  readonly host: string
  readonly port: number
  /** Folder of the built web application; null: the API alone. */
  readonly webRoot: string | null
  readonly logLevel: string
}

/** Settings from the environment, each with its default; throws with what is possible. */
export function settingsFrom(env: Readonly<Record<string, string | undefined>>): Settings {
  return {
    databaseUrl: needed(env, 'YEW_DATABASE_URL'),
    sessionSecret: needed(env, 'YEW_SESSION_SECRET'),
    host: env.YEW_HOST ?? '127.0.0.1',
    port: portOf(env.YEW_PORT ?? '4180'),
    webRoot: env.YEW_WEB_ROOT ?? null,
    logLevel: env.YEW_LOG_LEVEL ?? 'warn',
  }
}

function needed(env: Readonly<Record<string, string | undefined>>, name: string): string {
  const value = env[name]
  if (!value) throw new Error(`${name} is not set; start the application with npm start`)
  return value
}

function portOf(text: string): number {
  const port = Number(text)
  if (!Number.isInteger(port) || port < 0 || port > 65535) {
    throw new Error(`YEW_PORT must be a port from 0 to 65535; it is "${text}"`)
  }
  return port
}
