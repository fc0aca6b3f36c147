/**
 * Opens a view as a whole page. A change from the feed makes the router fetch the page anew, and a move of the router
 * that begins at the same moment can get lost in it; a whole page cannot.
 */
export function go(path: string): void {
  window.location.assign(path);
}
