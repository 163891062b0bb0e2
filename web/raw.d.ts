declare module '*.json?raw' {
  const text: string;
  export default text;
}

/** Of its own for every build. */
declare const __BUILD__: string;

/** The release of the core that this page was built with; empty where it was not named. */
declare const __CORE__: string;
