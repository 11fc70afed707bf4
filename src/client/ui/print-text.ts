/** Prints a plain list on a page of its own. */
export function printText(title: string, text: string): void {
  const frame = document.createElement('iframe');
  frame.hidden = true;
  document.body.append(frame);
  const page = frame.contentDocument!;
  const heading = page.createElement('h1');
  heading.textContent = title;
  const list = page.createElement('pre');
  list.textContent = text;
  list.style.cssText = 'font: 16px/1.6 sans-serif; white-space: pre-wrap';
  page.body.append(heading, list);
  frame.contentWindow!.addEventListener('afterprint', () => frame.remove());
  frame.contentWindow!.print();
}
