export { generateWorld, type World, type WorldOptions } from './world.ts'
export { demoBrand, demoPassword, demoWatches } from './brand.ts'
export { feeds as demoFeeds } from './press.ts'
