// Says what the official validator finds in glTF files: a line of JSON each.
import { readFileSync } from "node:fs";
import validator from "gltf-validator";

for (const file of process.argv.slice(2)) {
  const report = await validator.validateBytes(new Uint8Array(readFileSync(file)), { maxIssues: 50 });
  const { numErrors, numWarnings, messages } = report.issues;
  const bad = messages.filter((m) => m.severity < 2).slice(0, 20);
  console.log(JSON.stringify({ errors: numErrors, warnings: numWarnings, bad, info: report.info }));
}
