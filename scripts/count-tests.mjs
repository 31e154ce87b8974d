// Adds up what every module's test runner reported and prints it as the last line of a test run.
// Usage: node scripts/count-tests.mjs STATUS, the build's own exit status; exits 1 when that is not 0, no test ran or any failed.
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const total = { run: 0, failed: 0, skipped: 0 };

function add(file) {
  const suite = /<testsuites?\b[^>]*>/.exec(readFileSync(file, 'utf8'))?.[0] ?? '';
  const count = (name) => Number(new RegExp(`\\b${name}="(\\d+)"`).exec(suite)?.[1] ?? 0);
  total.run += count('tests');
  total.failed += count('failures') + count('errors');
  total.skipped += count('skipped');
}

for (const module of ['core', 'server', 'e2e', 'bench']) {
  const folder = join(module, 'target', 'surefire-reports');
  if (existsSync(folder)) {
    readdirSync(folder)
      .filter((file) => file.startsWith('TEST-') && file.endsWith('.xml'))
      .forEach((file) => add(join(folder, file)));
  }
}
const vitest = join('web', 'target', 'vitest.xml');
if (existsSync(vitest)) {
  add(vitest);
}

const built = (process.argv[2] ?? '0') === '0';
if (!built) {
  console.log('The build did not finish; see above for the first ERROR.');
}
const passed = total.run - total.failed - total.skipped;
console.log(`${passed} passed, ${total.failed} failed, ${total.skipped} skipped`);
process.exit(!built || total.failed > 0 || total.run === 0 ? 1 : 0);
