/** Puts words on the clipboard, also where the page was not fetched safely and the browser has none to offer. */
export async function copyWords(words: string): Promise<void> {
  if ('clipboard' in navigator) {
    await navigator.clipboard.writeText(words);
    return;
  }
  const copied = (event: ClipboardEvent) => {
    event.clipboardData?.setData('text/plain', words);
    event.preventDefault();
  };
  document.addEventListener('copy', copied);
  // The only way there is without a clipboard of the browser's.
  document.execCommand('copy');
  document.removeEventListener('copy', copied);
}

/** Words as a note quotes them: who said them, and each line marked. */
export function quoted(words: string, who: string): string {
  return `${who}:\n${words
    .split('\n')
    .map((line) => `> ${line}`)
    .join('\n')}\n`;
}
