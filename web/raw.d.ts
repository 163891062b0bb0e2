declare module '*.json?raw' {
  const text: string;
  export default text;
}

/** Of its own for every build. */
declare const __BUILD__: string;
