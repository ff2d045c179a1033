const config = require('expo/metro-config').getDefaultConfig(__dirname)

// What we never call of a package stays out of the bundle: of zod the other languages (the interface says its own
// sentences), JSON schema and compiled parsers (the page forbids code from strings); of uuid every version but 7.
const NEVER_CALLED = {
  zod: ['locales/index', 'compile', 'from-json-schema', 'json-schema-generator', 'json-schema-processors'],
  uuid: ['parse', 'v1', 'v1ToV6', 'v3', 'v4', 'v5', 'v6', 'v6ToV1', 'version'],
}

const isNeverCalled = (origin, name) =>
  Object.entries(NEVER_CALLED).some(
    ([npmPackage, files]) =>
      origin.includes(`/node_modules/${npmPackage}/`) && files.some((file) => name.endsWith(`/${file}.js`)),
  )

config.resolver.resolveRequest = (context, name, platform) =>
  isNeverCalled(context.originModulePath, name) ? { type: 'empty' } : context.resolveRequest(context, name, platform)

module.exports = require('nativewind/metro').withNativeWind(config, { input: './src/global.css', inlineRem: 16 })
