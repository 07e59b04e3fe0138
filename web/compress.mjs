// Compresses what is built once, so that the server never compresses it again.
import { readdirSync, readFileSync, writeFileSync } from "node:fs";
import { brotliCompressSync, gzipSync } from "node:zlib";

const folder = "dist/assets";
for (const name of readdirSync(folder)) {
  if (/\.(js|css|svg)$/.test(name)) {
    const bytes = readFileSync(`${folder}/${name}`);
    writeFileSync(`${folder}/${name}.gz`, gzipSync(bytes, { level: 9 }));
    writeFileSync(`${folder}/${name}.br`, brotliCompressSync(bytes));
  }
}
