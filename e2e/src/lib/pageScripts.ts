/** How often the page looks for it, ms. The driver’s own ways to ask send a library each time, and a wait would ask all the while. */
const LOOK_MS = 40;

/** What the page’s scripts know: what is to be seen of a test id, and to look again until something is there. */
const SIGHT = `
  const seen = (id) => {
    const element = document.querySelector('[data-testid="' + id + '"]');
    const shown = element?.checkVisibility({ opacityProperty: true, visibilityProperty: true }) && element.getClientRects().length > 0;
    return shown ? element : null;
  };
  // What is scrolled away is not laid out, so that the browser itself would say that it has no text.
  const words = (node) => {
    if (node.nodeType === Node.TEXT_NODE) return node.data;
    if (node.nodeType !== Node.ELEMENT_NODE) return "";
    const { display } = getComputedStyle(node);
    if (display === "none") return "";
    const text = [...node.childNodes].map(words).join("");
    return display === "inline" ? text : "\\n" + text + "\\n";
  };
  const said = (element) => words(element).replace(/\\s*\\n\\s*/g, "\\n").trim();
  const look = (patience, find, done) => {
    const end = performance.now() + patience;
    const again = (waited) => {
      const found = find();
      if (found !== null || performance.now() > end) return done(found, waited);
      setTimeout(() => again(true), ${LOOK_MS});
    };
    again(false);
  };`;

/** Answers the element of a test id once it is in sight; null where it does not come. */
export const COMES_IN_SIGHT = `
  const [id, patience, done] = arguments;
  ${SIGHT}
  look(patience, () => seen(id), (element) => done(element));`;

/** Goes to a path once the address stands still: the page tells its own way a little after the screen is drawn, and would go back to it. */
export const GO_ON = `
  const [to, done] = arguments;
  let [before, still] = ["", 0];
  const look = () => {
    still = location.href === before ? still + 1 : 0;
    before = location.href;
    if (still < 6) return setTimeout(look, ${LOOK_MS});
    history.pushState({}, "", to);
    dispatchEvent(new PopStateEvent("popstate", { state: {} }));
    done();
  };
  look();`;

/** Answers what there is of a test id and what hides it, in words. */
export const AS_IT_STANDS = `
  const all = [...document.querySelectorAll('[data-testid="' + arguments[0] + '"]')];
  const hides = (one) => {
    const { display, visibility, opacity } = getComputedStyle(one);
    return display === "none" || visibility !== "visible" || opacity === "0" ? [display, visibility, opacity].join(" ") : "";
  };
  const way = (one) => one === null ? [] : [one, ...way(one.parentElement)];
  const words = all.map((element) => {
    const hidden = way(element).filter((one) => hides(one) !== "").map((one) => one.outerHTML.slice(0, 200) + " is " + hides(one));
    const { x, y, width, height } = element.getBoundingClientRect();
    return "“" + element.textContent + "” at " + [x, y, width, height].map(Math.round).join(" ") + (hidden.length > 0 ? ", hidden: " + hidden.join(", ") : "");
  });
  const where = " at " + location.pathname + ", where it says “" + document.body.innerText.replace(/\\s+/g, " ").slice(0, 500) + "”";
  return words.length === 0 ? "; nothing of it is there" + where : "; there is " + words.join(" and ") + where;`;

/** Answers what an element of a test id says once that fits a pattern; null where it does not. */
export const COMES_TO_SAY = `
  const [id, pattern, flags, patience, done] = arguments;
  ${SIGHT}
  const wanted = new RegExp(pattern, flags);
  look(patience, () => {
    const element = seen(id);
    if (element === null) return null;
    const text = said(element);
    return wanted.test(text) ? text : null;
  }, (text) => done(text));`;

/**
 * Brings the element of a test id into the middle of the sight, waits until it stays where it is (a second at the most), and
 * answers where its middle is; null where it is not to be seen or something lies over it. From then on the page knows whether a
 * click has come to it: none does where it moves away between press and release.
 */
export const WITHIN_REACH = `
  const [id, patience, done] = arguments;
  ${SIGHT}
  const settle = (element, waited) => {
    if (element === null) return done(null);
    element.scrollIntoView({ block: "center", inline: "center" });
    let [before, stays, left] = ["", 0, 60];
    const still = () => {
      const { x, y, width, height } = element.getBoundingClientRect();
      const now = x + " " + y;
      left -= 1;
      stays = now === before ? stays + 1 : 0;
      before = now;
      // What has only just come may still be moved by what comes with it.
      if (stays < (waited ? 6 : 1) && left > 0) return requestAnimationFrame(still);
      const middle = { x: x + width / 2, y: y + height / 2 };
      const met = document.elementFromPoint(middle.x, middle.y);
      if (met === null || !(element === met || element.contains(met))) return done(null);
      window.touched = false;
      // One that was drawn anew meanwhile goes by the same name.
      const heard = (event) => { window.touched ||= event.composedPath().some((one) => one.dataset?.testid === id); };
      document.addEventListener("click", heard, { capture: true, once: true });
      done(middle);
    };
    still();
  };
  look(patience, () => seen(id), settle);`;

/** Selects what the field of a test id holds, and answers that; null where the keys go elsewhere. */
export const TAKE_FIELD = `
  const field = document.activeElement;
  if (field?.dataset.testid !== arguments[0]) return null;
  field.select();
  return field.value;`;

/** Answers what the field of a test id holds; null where it is not there. */
export const FIELD_HOLDS = `
  return document.querySelector('[data-testid="' + arguments[0] + '"]')?.value ?? null;`;

/** Answers when nothing on the page has changed for some frames; a clock that runs on is waited for only so long. */
export const STILL = `
  const done = arguments[arguments.length - 1];
  let [quiet, left] = [0, 180];
  const watch = new MutationObserver(() => { quiet = 0; });
  watch.observe(document.body, { attributes: true, childList: true, characterData: true, subtree: true });
  const look = () => {
    quiet += 1;
    left -= 1;
    if (quiet < 20 && left > 0) return requestAnimationFrame(look);
    watch.disconnect();
    done();
  };
  requestAnimationFrame(look);`;
