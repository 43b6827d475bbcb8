import { bundled } from './bundle.mjs'

// For tests, which run where no bundler can: bundles a tool and prints where it is.
console.log(JSON.stringify(await bundled(process.argv[2])))
