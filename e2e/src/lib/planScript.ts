/** What both scripts know: to find, to wait for a change of the page, and to click what can be clicked. */
const TOOLS = `
  const at = (id) => document.querySelector('[data-testid="' + id + '"]');
  const when = (what, found) => new Promise((resolve, reject) => {
    const check = () => {
      const result = found();
      if (result === undefined) return;
      clearTimeout(timer);
      watch.disconnect();
      resolve(result);
    };
    const watch = new MutationObserver(check);
    const timer = setTimeout(() => {
      watch.disconnect();
      reject(new Error(what));
    }, patience);
    watch.observe(document.body, { subtree: true, childList: true, characterData: true, attributes: true });
    check();
  });
  const usable = (id) => () => {
    const one = at(id);
    return one && one.getAttribute("aria-disabled") !== "true" ? one : undefined;
  };
  const touch = async (id) => (await when(id + " can be touched", usable(id))).click();
  // Nobody looks on: laying out and painting would take a third of the time.
  const unseen = (work) => {
    const { style } = document.documentElement;
    style.display = "none";
    return work().finally(() => { style.display = ""; });
  };`;

/**
 * Follows the plan from within the page, by clicks, as long as it says where to go on: the next of the sources that it names,
 * read with the simulated meter, two of them tried together, or the car brought to where it wants it. A bunch that lies open is at the probe already.
 *
 * Arguments: how many steps at most, how long one may take (ms), whether the source is to be chosen first. Answers
 * `{ steps, ended }`, or `{ stuck }` with what it said.
 */
export const PLAN_SCRIPT = `
  const [most, patience, choosing, done] = arguments;
  ${TOOLS}
  const look = () => {
    const next = at("next");
    const dock = next?.closest("[aria-live]");
    const readings = document.querySelectorAll("[data-testid=history] [role=listitem]").length;
    return {
      text: next?.textContent ?? "",
      said: (next?.textContent ?? "") + " #" + readings + (at("arrived") ? " on the way" : " there"),
      busy: !dock || dock.getAttribute("aria-busy") === "true",
      onTheWay: at("arrived") !== null,
      ended: at("go-choose") !== null || /Every wire (is told apart|has a place)/.test(next?.textContent ?? ""),
    };
  };
  const wanted = (text) => {
    const name = /(?:touch|probe on) (.+?)(?:[.:]|$)/i.exec(text)?.[1]?.split(/, | and /)[0] ?? "";
    const slots = [...document.querySelectorAll("[data-testid^='slot-']")];
    const said = (one) => one.textContent.replace(/\\s+/g, " ").trim();
    const slot = slots.find((one) => one.dataset.testid.endsWith("/" + name)) ?? slots.find((one) => said(one).startsWith(name));
    if (name === "" || slot === undefined) throw new Error("nothing called “" + name + "”");
    return slot.dataset.testid;
  };
  const settled = (before) => when("the plan moves on", () => {
    const now = look();
    return !now.busy && (before === undefined || now.ended || now.said !== before.said) ? now : undefined;
  });
  unseen(async () => {
    let now = await settled();
    let steps = 0;
    for (; steps < most && !now.ended; steps += 1) {
      if (now.onTheWay) await touch("arrived");
      else {
        // Two wires tried together come into the hand by themselves.
        if (/9 V across|Ohms between/.test(now.text)) {
          if (choosing) await when("the pair is in hand", () => at("selected-pair") ?? undefined);
        } else if (choosing) await touch(wanted(now.text));
        await touch(at("pop-sim") ? "pop-sim" : "pad-sim");
      }
      now = await settled(now);
    }
    return { steps, ended: now.ended };
  }).then(done, (error) => done({ stuck: error.message + ", for “" + look().said + "”" }));`;

/**
 * Reads every closing check with the simulated meter, in the order asked for.
 *
 * Arguments: how many at most, how long one may take (ms). Answers `{ steps }`, or `{ stuck }` with the check and what it said.
 */
export const PROVE_SCRIPT = `
  const [most, patience, done] = arguments;
  ${TOOLS}
  const passed = () => / (\\d+) of/.exec(at("checks-passed")?.textContent ?? "")?.[1] ?? "";
  unseen(async () => {
    let steps = 0;
    for (; steps < most && at("check-how"); steps += 1) {
      const before = passed();
      await touch("prove-pad-sim");
      await when("check " + (steps + 1) + " passes", () => !at("check-how") || passed() !== before || undefined);
    }
    return { steps };
  }).then(done, (error) => done({ stuck: error.message + ": " + (at("check-state")?.textContent ?? "") }));`;
