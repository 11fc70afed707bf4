/** Prints a drawing on a page of its own, at its own size. */
export function printSvg(svg: string): void {
  const frame = document.createElement('iframe');
  frame.style.cssText = 'position: fixed; width: 0; height: 0; border: 0';
  document.body.append(frame);
  const page = frame.contentDocument!;
  page.body.style.margin = '0';
  page.body.append(page.importNode(new DOMParser().parseFromString(svg, 'image/svg+xml').documentElement, true));
  frame.contentWindow!.addEventListener('afterprint', () => frame.remove());
  frame.contentWindow!.print();
}
