/** The text that a server packed by gzip and base64. Rejects where it was not packed so. */
export async function unpack(content: string): Promise<string> {
  const bytes = Uint8Array.from(atob(content), (letter) => letter.charCodeAt(0));
  return new Response(new Blob([bytes]).stream().pipeThrough(new DecompressionStream('gzip'))).text();
}
