/** A job of 60 lines and some 400 joints, made of copies of the lines of another: each with its own component and ports. */
function largeJob(core, document, catalogue) {
  const whole = core.judgeJob(document, catalogue).lines.filter((l) => l.state === 'seals' || l.state === 'checked');
  const lines = Array.from({ length: 60 }, (_, i) => ({ from: whole[i % whole.length], i }));
  const ports = lines.flatMap(({ from, i }) =>
    [from.portA, from.portB].map(({ side, port }) => ({ ...port, id: `${side}${i}`, componentId: `c${i % 12}`, order: i })),
  );
  return {
    job: document.job,
    components: Array.from({ length: 12 }, (_, i) => ({ ...document.components[0], id: `c${i}`, name: `Component ${i}`, order: i })),
    ports,
    lines: lines.map(({ from, i }) => ({ ...from.line, id: `l${i}`, number: i + 1, order: i, portA: `A${i}`, portB: `B${i}` })),
  };
}

/** How long a job takes to be put together, whole and after one edit, with what is read from it. */
export async function benchAssembly(core, measure, document, catalogue) {
  const job = largeJob(core, document, catalogue);
  const assembled = core.assembleJob(job, catalogue);
  const size = `${job.lines.length} lines, ${assembled.jointByKey.size} joints`;
  await measure(`assembleJob, whole: ${size}`, 100, () => core.assembleJob(job, catalogue));
  let last = assembled;
  await measure('assembleJob after an edit of one line of it', 500, (i) => {
    const lines = job.lines.map((l, at) =>
      at === i % job.lines.length ? { ...l, pieces: l.pieces.map((p) => ({ ...p, length: { mm: 600 + i, as: 'taped' } })) } : l,
    );
    last = core.assembleJob(
      { ...last.document, lines: last.document.lines.map((l, at) => (at === i % 60 ? lines[at] : l)) },
      catalogue,
      last,
    );
  });
  await measure('assembleJob after a part in it has changed in the store', 100, (i) => {
    const [id] = last.linesByPart.keys();
    const fittings = catalogue.fittings.map((f) => (f.id === id ? { ...f, lengthMm: 20 + (i % 10) } : f));
    last = core.assembleJob(last.document, { ...catalogue, fittings }, last);
  });
  await measure(`judgeJob, whole: ${size}`, 50, () => core.judgeJob({ ...job, job: document.job }, catalogue));
  const judged = core.judgeJob({ ...job, job: document.job }, catalogue);
  let heard = judged;
  await measure('judgeJob after an edit of one line of it', 200, (i) => {
    const at = i % heard.document.lines.length;
    const edited = {
      ...heard.document.lines[at],
      pieces: job.lines[at].pieces.map((p) => ({ ...p, length: { mm: 600 + i, as: 'taped' } })),
    };
    heard = core.judgeJob({ ...heard.document, lines: heard.document.lines.map((l, n) => (n === at ? edited : l)) }, catalogue, heard);
  });
  await measure('cut tickets and parts list of it', 100, () => [core.cutTickets(judged), core.partsList(judged)]);
  const gap = { connector: core.parseConnector('an6 f swivel'), boreMm: 7.1 };
  await measure('partsBetween two hoses, all bulkheads', 10, () => core.partsBetween({ from: gap, to: gap }, 'bulkhead', catalogue));
  await measure('partsBetween two hoses, all tees', 5, () => core.partsBetween({ from: gap, to: gap }, 'tee', catalogue));
}
