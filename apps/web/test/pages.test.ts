import { PAGES, pagesAt, QUILT_PAGES, quiltPage } from '../src/shell/pages.ts';

// Addresses are the app's own; what a link or a bookmark may hold is from memory.
describe('what an address needs is known before the app is there', () => {
  it.each(Object.keys(PAGES).filter((path) => !path.includes(':')))('/%s: its own page', (path) => {
    expect(pagesAt(`/${path}`)).toEqual([PAGES[path]]);
  });

  it.each(Object.keys(QUILT_PAGES))('a quilt’s %s: the quilt’s page and that', (stage) => {
    expect(pagesAt(`/quilts/one-of-them/${stage}`)).toEqual([quiltPage, QUILT_PAGES[stage]]);
  });

  it('a quilt alone opens at its setting; an answer with or without its topic', () => {
    expect(pagesAt('/quilts/one-of-them')).toEqual([quiltPage, QUILT_PAGES['setting']]);
    expect(pagesAt('/ask')).toEqual(pagesAt('/ask/binding'));
    expect(pagesAt('/ask')).toHaveLength(1);
  });

  it('nothing for an address there is none of', () => {
    expect(pagesAt('/nowhere')).toEqual([]);
    expect(pagesAt('/constructor')).toEqual([]);
    expect(pagesAt('/quilts/one-of-them/constructor')).toEqual([quiltPage]);
  });
});
