/** Version of the engine: raised with every change that can move a ranking, and kept with every call. */
export const ENGINE_VERSION = '2026.12.1'
