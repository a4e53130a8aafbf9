import { chromium } from '@playwright/test';
import { writeFileSync } from 'node:fs';
import { SHEET_SIZES } from '@mendrel/core';
import { stripDesign } from './stripDesign';
const url = 'http://127.0.0.1:4310';
const sizes = SHEET_SIZES.filter((size) => Math.min(size.width, size.height) > 250).slice(0, 12);
const design = stripDesign(15, sizes.map((size) => size.name), 5);
const { id } = await (await fetch(`${url}/api/designs`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify({ document: design }) })).json() as { id: string };
const flags = (process.env.FLAGS ?? '').split(' ').filter(Boolean);
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-background-networking', '--disable-component-update', '--no-first-run', ...flags] });
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
const empty = process.env.EMPTY;
let x = 300, y = 300;
if (empty) {
  await page.setContent(`<div id="follower" style="position:absolute;width:20px;height:20px;background:#345"></div><script>onpointermove = (event) => { follower.style.transform = 'translate(' + event.clientX + 'px,' + event.clientY + 'px)'; }</script>`);
} else {
  await page.goto(`${url}/designs/${id}`);
  await page.getByRole('separator').first().waitFor();
  await page.getByRole('treeitem').first().click();
  await page.getByRole('separator', { name: 'Divider after row' }).first().waitFor();
  await page.waitForTimeout(1500);
  if (process.env.CSS) await page.addStyleTag({ content: process.env.CSS });
  if (process.env.EVAL) await page.evaluate(process.env.EVAL);
  const boxes = await Promise.all((await page.getByRole('separator').all()).map((each) => each.boundingBox()));
  const box = boxes.find((each) => each && each.y > 200 && each.y < 450)!;
  [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
}
await page.mouse.move(x, y); await page.mouse.down();
const waiting: Promise<void>[] = []; const move = async (i: number) => { waiting.push(page.mouse.move(x, y + 2 * (Math.abs((i % 40) - 20) - 10))); await new Promise((r) => setTimeout(r, 1000 / 120)); };
for (let i = 0; i < 60; i++) await move(i);
if (process.env.SHOT) await page.screenshot({ path: process.env.SHOT });
await browser.startTracing(page, { categories: ['toplevel', 'devtools.timeline', 'disabled-by-default-devtools.timeline.frame', 'disabled-by-default-devtools.timeline', 'cc', 'viz', 'gpu', 'benchmark', 'blink', 'ipc'] });
for (let i = 0; i < 240; i++) await move(i);
await Promise.all(waiting); const raw = (await browser.stopTracing()).toString();
writeFileSync('/tmp/h/trace.json', raw);
const { traceEvents: ev } = JSON.parse(raw);
const names = new Map<string, string>(); const procs = new Map<number, string>();
for (const e of ev) if (e.ph === 'M') { if (e.name === 'thread_name') names.set(`${e.pid}/${e.tid}`, e.args.name); if (e.name === 'process_name') procs.set(e.pid, e.args.name); }
const draws = ev.filter((e: any) => e.name === 'DrawFrame').map((e: any) => e.ts / 1000).sort((a: number, b: number) => a - b);
const span = (draws.at(-1) - draws[0]);
const gaps = draws.slice(1).map((t: number, i: number) => t - draws[i]).sort((a: number, b: number) => a - b);
console.log('frames', draws.length, 'in', span.toFixed(0), 'ms; <20ms', (100 * gaps.filter((g: number) => g < 20).length / gaps.length).toFixed(0), '% median', gaps[gaps.length >> 1].toFixed(1), '95%', gaps[Math.floor(gaps.length * .95)].toFixed(1));
const byThread = new Map<string, number>();
for (const e of ev) if (e.name.endsWith('RunTask') && e.tdur) { const k = `${procs.get(e.pid)} ${names.get(`${e.pid}/${e.tid}`)}`; byThread.set(k, (byThread.get(k) ?? 0) + e.tdur / 1000); }
for (const [k, v] of [...byThread].sort((a, b) => b[1] - a[1]).slice(0, 12)) console.log((v / draws.length).toFixed(2).padStart(7), 'ms a frame', (100 * v / span).toFixed(0) + '%', k);
const byName = new Map<string, [number, number]>();
for (const e of ev) if (e.tdur || e.dur) { const k = `${names.get(`${e.pid}/${e.tid}`)} ${e.name}`; const v = byName.get(k) ?? [0, 0]; v[0] += (e.tdur ?? e.dur) / 1000; v[1]++; byName.set(k, v); }
for (const [k, [v, n]] of [...byName].sort((a, b) => b[1][0] - a[1][0]).slice(0, +(process.env.TOP ?? 45))) console.log((v / draws.length).toFixed(2).padStart(7), String(n).padStart(6), k);
await browser.close(); await fetch(`${url}/api/designs/${id}`, { method: 'DELETE' });
