import { ordered } from './frames';

/** What the set may take, in s. */
const MOST_SECONDS = 5;
const ROUNDS = 5;
const PROJECT = 'Brackenmouth Ferry Terminal';

/** All 42 sheets of a project with their plans as one PDF, from being asked for until its last byte. */
export async function benchSetPdf(url: string): Promise<void> {
  const projects = (await (await fetch(`${url}/api/projects`)).json()) as {
    id: string;
    name: string;
    sheets: number;
  }[];
  const project = projects.find(({ name }) => name === PROJECT);
  if (!project) throw new Error(`${PROJECT} is not among the projects`);
  const times: number[] = [];
  let bytes = 0;
  for (let round = 0; round < ROUNDS; round++) {
    const begun = performance.now();
    const answer = await fetch(`${url}/api/projects/${project.id}/set.pdf`);
    bytes = (await answer.arrayBuffer()).byteLength;
    if (!answer.ok) throw new Error(`set.pdf: ${answer.status}`);
    times.push((performance.now() - begun) / 1000);
  }
  const median = ordered(times)[Math.floor(ROUNDS / 2)] ?? 0;
  console.log(
    `${project.sheets} sheets with their plans as PDF: ${(median / MOST_SECONDS).toFixed(2)} x the ${MOST_SECONDS} s they may take`,
  );
  console.log(
    `    ${median.toFixed(2)} s (${times.map((time) => time.toFixed(2)).join(', ')}), ${(bytes / 1e6).toFixed(1)} MB`,
  );
}
