import { backUpNightly } from './backup.mjs'
import { Cluster } from './cluster.mjs'
import { homeFor, makeHome } from './data-folder.mjs'
import { KeptAlive } from './keep-alive.mjs'
import { ROOT } from './paths.mjs'
import { isFree } from './ports.mjs'
import { APP_ROLE } from './roles.mjs'
import { endCommands, must, StepFailed } from './run.mjs'
import { ServerProcess } from './server-process.mjs'
import { takeLock } from './start-lock.mjs'

/** The database and the server on one data folder, both kept alive until they are stopped. */
export class Application {
  #settings
  #say
  #lock = null
  #cluster = null
  #server = null
  #kept = []
  /** @type {Promise<void> | null} */
  #stopping = null
  #bin = ''
  #endBackups = async () => {}

  constructor(settings, say) {
    this.#settings = settings
    this.#say = say
  }

  get cluster() {
    return this.#cluster
  }

  /** Takes the data folder for this start; or gives what the start that has it wrote of itself. */
  async claim({ needsPort = true } = {}) {
    const { port, host, dataDir } = this.#settings
    const home = await homeFor(ROOT, dataDir)
    makeHome(home)
    this.home = home
    const { lock, other } = await takeLock(home)
    if (other) return other
    this.#lock = lock
    lock.tell(null)
    if (needsPort && !(await isFree(port, host))) {
      throw new StepFailed(
        'Starting the server',
        `port ${port} is taken by another program`,
        `choose another one: YEW_PORT=${port + 1} npm start`,
      )
    }
    return null
  }

  async startDatabase(bin) {
    this.#bin = bin
    const cluster = new Cluster({
      bin,
      home: this.home,
      durable: this.#settings.durable,
      say: this.#say,
    })
    this.#cluster = cluster
    await cluster.start()
    this.#keep('The database', {
      start: () => cluster.launch(),
      onceEnded: (tell) => cluster.onceEnded(tell),
    })
  }

  /** Tables, rights and samples as this version has them. @param args of node: the preparing step */
  prepare(args) {
    const advice = 'read the error above; your data is as it was.'
    const env = { YEW_OWNER_URL: this.#cluster.ownerUrl(), YEW_APP_ROLE: APP_ROLE }
    return must({ step: 'Bringing the database up to date', advice }, process.execPath, args, {
      env,
    })
  }

  /** @param args of node: the server. @param env what it is told besides */
  async serve(args, env) {
    const { port, host, logLevel } = this.#settings
    const server = new ServerProcess(args, {
      ...env,
      YEW_DATABASE_URL: this.#cluster.appUrl(),
      YEW_SESSION_SECRET: this.#cluster.secrets.sessionSecret,
      YEW_PORT: String(port),
      YEW_HOST: host,
      YEW_LOG_LEVEL: logLevel,
    })
    this.#server = server
    await server.start()
    this.#keep('The server', {
      start: () => server.start(),
      onceEnded: (tell) => server.onceEnded(tell),
    })
    const address = `http://${host.includes(':') ? `[${host}]` : host}:${port}`
    this.#lock.tell(address)
    return address
  }

  /** A copy of all that is kept each night, in the data folder. */
  backUpNightly() {
    const { home } = this
    const url = this.#cluster.ownerUrl()
    const { sessionSecret } = this.#cluster.secrets
    this.#endBackups = backUpNightly({ bin: this.#bin, url, sessionSecret, home, say: this.#say })
  }

  #keep(name, process) {
    const kept = new KeptAlive({ name, say: this.#say, ...process })
    kept.watch()
    this.#kept.push(kept)
  }

  /** Everything down, in the order that loses nothing. */
  stop() {
    this.#stopping ??= (async () => {
      endCommands()
      await this.#endBackups()
      await Promise.all(this.#kept.map((kept) => kept.letGo()))
      await this.#server?.stop()
      await this.#cluster?.stop()
      this.#lock?.tell(null)
      this.#lock?.release()
    })()
    return this.#stopping
  }
}

/** Stops an application when we are told to end, or when the npm that started us is gone. */
export function stopOnSignals(application, say) {
  let told = false
  // Whoever read what we say may leave; that ends nothing.
  for (const stream of [process.stdout, process.stderr]) stream.on('error', () => {})
  const end = () => {
    if (!told) say('Stopping')
    told = true
    void application.stop().then(() => process.exit(0))
  }
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, end)
  if (!process.env.npm_lifecycle_event) return
  const parent = process.ppid
  setInterval(() => process.ppid !== parent && end(), 500).unref()
}
