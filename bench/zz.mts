import { screenFigures } from '/work/main/bench/screen.ts'
console.table(
  (await screenFigures(process.argv[2]!)).map((f) => ({
    name: f.name,
    value: f.value,
    task: f.ratio,
    aim: f.aim,
  })),
)
process.exit(0)
