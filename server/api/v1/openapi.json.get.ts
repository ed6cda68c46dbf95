import { openApi } from '#shared/openapi'

/** The OpenAPI 3.1 description of this surface. */
export default defineEventHandler(() => openApi(useRuntimeConfig().public.version))
