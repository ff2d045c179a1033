const config = require('expo/metro-config').getDefaultConfig(__dirname)

// The interface says its own sentences: of zod's languages only English ships.
config.resolver.resolveRequest = (context, name, platform) =>
  name.endsWith('/locales/index.js') && context.originModulePath.includes('/node_modules/zod/')
    ? { type: 'empty' }
    : context.resolveRequest(context, name, platform)

module.exports = require('nativewind/metro').withNativeWind(config, { input: './src/global.css', inlineRem: 16 })
