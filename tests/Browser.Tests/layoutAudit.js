// What a careful eye would stop at, found by the page itself. Returns a list of { kind, what, where }.
// Kinds: struck, overlap, clipped, edge, sideways, selectCut, noRule.
(() => {
  const found = [];
  const [width, height] = [innerWidth, innerHeight];
  const path = (element) => {
    const steps = [];
    for (let e = element; e && e !== document.body && steps.length < 4; e = e.parentElement)
      steps.unshift(e.tagName.toLowerCase() + (e.classList[0] ? `.${e.classList[0]}` : ''));
    return steps.join(' > ');
  };
  const say = (kind, what, element) => found.push({ kind, what: what.replace(/\s+/g, ' ').trim().slice(0, 90), where: path(element) });
  const meet = (a, b) => {
    const r = { left: Math.max(a.left, b.left), top: Math.max(a.top, b.top), right: Math.min(a.right, b.right), bottom: Math.min(a.bottom, b.bottom) };
    return r.right > r.left && r.bottom > r.top ? r : null;
  };
  const area = (r) => (r.right - r.left) * (r.bottom - r.top);
  const ancestors = function* (element) {
    for (let e = element; e; e = e.parentElement) yield e;
  };
  const hidden = (element) => {
    for (const e of ancestors(element)) {
      const s = getComputedStyle(e);
      if (s.display === 'none' || s.visibility === 'hidden' || Number(s.opacity) === 0 || e.classList.contains('visually-hidden')) return true;
      if (e.tagName === 'DETAILS' && !e.open && !element.closest('summary')) return true;
    }
    return false;
  };
  // Texts in one layer must not lie over each other; a bar or a dialog above the page may.
  const layer = (element) => {
    for (const e of ancestors(element))
      if (['fixed', 'sticky'].includes(getComputedStyle(e).position) || e.getAttribute('role') === 'dialog' || ['FOOTER', 'HEADER'].includes(e.tagName)) return e;
    return document.body;
  };
  // The part of a rectangle that scrolling and clipping ancestors let through.
  const through = (element, rect) => {
    let seen = rect;
    let cutter = null;
    let scrolls = false;
    for (const e of ancestors(element.parentElement)) {
      const s = getComputedStyle(e);
      const box = e.getBoundingClientRect();
      const clips = s.overflowX !== 'visible' || s.overflowY !== 'visible';
      if (!clips && e.tagName !== 'svg') continue;
      if (['auto', 'scroll'].includes(s.overflowX) && e.scrollWidth > e.clientWidth) scrolls = true;
      if (!cutter && !scrolls && s.overflowX === 'hidden' && (rect.right > box.right + 2 || rect.left < box.left - 2)) cutter = e;
      if (!clips) continue;
      seen = meet(seen, box);
      if (!seen) return { seen, cutter, scrolls };
    }
    return { seen: meet(seen, { left: 0, top: 0, right: width, bottom: height }), cutter, scrolls };
  };

  const texts = [];
  const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
  for (let node = walk.nextNode(); node; node = walk.nextNode()) {
    const [element, text] = [node.parentElement, node.textContent];
    if (!text.trim() || ['SCRIPT', 'STYLE', 'TITLE', 'DESC', 'OPTION', 'NOSCRIPT'].includes(element.tagName.toUpperCase()) || hidden(element)) continue;
    const range = document.createRange();
    range.selectNodeContents(node);
    for (const rect of range.getClientRects()) {
      if (rect.width < 2 || rect.height < 2) continue;
      const { seen, cutter, scrolls } = through(element, rect);
      if (cutter) say('clipped', text, element);
      if (!seen) continue;
      // The line box of big type is much taller than its ink.
      const air = parseFloat(getComputedStyle(element).fontSize) > 40 ? 0.2 * (seen.bottom - seen.top) : 0;
      texts.push({ text, element, rect: { ...seen, top: seen.top + air, bottom: seen.bottom - air }, layer: layer(element), scrolls });
    }
    const struck = [...ancestors(element)].some((e) => getComputedStyle(e).textDecorationLine.includes('line-through'));
    if (struck && !element.closest('s, del')) say('struck', text, element);
  }
  for (const { text, element, rect, scrolls } of texts)
    if (!scrolls && (rect.left < 5 || rect.right > width - 3) && rect.right > 0 && rect.left < width) say('edge', text, element);
  texts.sort((a, b) => a.rect.top - b.rect.top);
  texts.forEach((a, i) => {
    for (let j = i + 1; j < texts.length && texts[j].rect.top < a.rect.bottom; j++) {
      const b = texts[j];
      if (a.layer !== b.layer || a.element === b.element) continue;
      const both = meet(a.rect, b.rect);
      if (both && both.right - both.left > 3 && both.bottom - both.top > 4 && area(both) > 0.06 * Math.min(area(a.rect), area(b.rect)))
        say('overlap', `"${a.text.trim()}" over "${b.text.trim()}"`, b.element);
    }
  });
  if (document.scrollingElement.scrollWidth > width + 1) say('sideways', `the page is ${document.scrollingElement.scrollWidth} px wide in ${width}`, document.body);

  const pen = document.createElement('canvas').getContext('2d');
  for (const select of document.querySelectorAll('select')) {
    if (hidden(select) || !select.selectedOptions[0]) continue;
    const s = getComputedStyle(select);
    pen.font = `${s.fontWeight} ${s.fontSize} ${s.fontFamily}`;
    const room = select.clientWidth - parseFloat(s.paddingLeft) - parseFloat(s.paddingRight);
    const need = pen.measureText(select.selectedOptions[0].textContent).width;
    if (need > room + 2) say('selectCut', `${Math.round(need)} px in ${Math.round(room)}: ${select.selectedOptions[0].textContent}`, select);
  }

  const known = new Set();
  const read = (rules) => {
    for (const rule of rules) {
      for (const m of rule.selectorText?.matchAll(/\.(-?[_a-zA-Z][\w-]*)/g) ?? []) known.add(m[1]);
      if (rule.cssRules) read(rule.cssRules);
    }
  };
  for (const sheet of document.styleSheets) read(sheet.cssRules);
  for (const element of document.body.querySelectorAll('[class]')) {
    const names = [...element.classList].filter((c) => !/^(Mui|Private|m-)/.test(c));
    if (names.length && names.every((c) => !known.has(c))) say('noRule', `the class "${names.join(' ')}" has no style rule`, element);
  }
  const once = new Set();
  return found.filter((f) => !once.has(JSON.stringify(f)) && once.add(JSON.stringify(f))).map((f) => `${f.kind}: ${f.what} [${f.where}]`);
})();
