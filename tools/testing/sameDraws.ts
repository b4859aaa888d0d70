import fc from 'fast-check'

/** Properties are tried on the same draws in every run, so that a run hangs on the code alone; `./truelay draws` tries others. */
const seed = Number(process.env.TRUELAY_DRAWS ?? 20_300_501)
fc.configureGlobal({ ...fc.readConfigureGlobal(), seed })
