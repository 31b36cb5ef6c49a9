/** A dry-sump system several times over: pump, filter, cooler, block, turbo, each fed and drained, 60 lines in all. */
function flowJob(core, document, catalogue) {
  const whole = core.assembleJob(document, catalogue).lines.filter((l) => l.pieces[0]?.cut && l.ways.every((w) => w.fittings));
  const like = (dash) => whole.find((l) => l.pieces[0].hose.dash === dash && l.pieces[0].hose.construction === 'ptfe') ?? whole[0];
  const kinds = /** @type {const} */ (['pump', 'filter head', 'cooler', 'block', 'turbo', 'pan']);
  const drawn = /** @type {const} */ ([
    ['pump', 'filter head', 'filter', 12],
    ['filter head', 'cooler', 'cooler', 10],
    ['filter head', 'cooler', 'cooler', 10],
    ['cooler', 'block', 'cooler-back', 10],
    ['block', 'turbo', 'turbo-feed', 6],
    ['turbo', 'pan', 'turbo-drain', 10],
  ]);
  /** @type {import('@gewinde/core').Component[]} */
  const components = [];
  /** @type {import('@gewinde/core').Port[]} */
  const ports = [];
  /** @type {import('@gewinde/core').Line[]} */
  const lines = [];
  for (let i = 0; i < 10; i++) {
    for (const kind of kinds)
      components.push({ ...document.components[0], id: `${kind}${i}`, name: `${kind} ${i}`, kind, part: null, order: components.length });
    for (const [from, to, service, dash] of drawn) {
      const { line, portA, portB } = like(dash);
      const n = lines.length + 1;
      ports.push({ ...portA.port, id: `A${n}`, componentId: `${from}${i}`, end: undefined, order: n });
      ports.push({ ...portB.port, id: `B${n}`, componentId: `${to}${i}`, end: undefined, order: n });
      const flow =
        service === 'turbo-drain' ? { fallMm: 200 } : service === 'turbo-feed' ? { bearing: 'ball', restrictorMm: 1 } : undefined;
      lines.push({ ...line, id: `l${n}`, number: n, order: n, service, portA: `A${n}`, portB: `B${n}`, ...(flow ? { flow } : {}) });
    }
  }
  return { ...document, components, ports, lines };
}

/** How long flow takes: one line over all sizes and temperatures, a whole job, a network that balances. */
export async function benchFlow(core, measure, document, catalogue) {
  const job = core.assembleJob(flowJob(core, document, catalogue), catalogue);
  const question = { job, running: document.job.running, rules: core.usualFlowRules };
  const lines = job.lines.slice(0, 6);
  await measure('sizing one line, all sizes in every state', 300, (i) => core.sizeLine(lines[i % 6], question));
  await measure('sizing one line, with its curves over temperature', 300, (i) => {
    const sizing = core.sizeLine(lines[i % 6], question);
    return core.sizeCurves(sizing, question);
  });
  await measure(`sizing a job of ${job.lines.length} lines`, 20, () => job.lines.map((l) => core.sizeLine(l, question)));
  await measure(`a network of ${job.lines.length} lines balanced`, 50, () => core.systemOf(question, 'hottest', 'hot'));
  await measure('oil of it, by line and component', 100, () => core.oilVolume(job, question.running));
}
