const { join } = require('node:path')

const config = require('expo/metro-config').getDefaultConfig(__dirname)

const exportsOf = (names) => names.split(' ').map((name) => `dist/exports/${name}/`)

/**
 * Files and folders of packages that nothing of ours calls or draws. Metro does not shake them out, so they are left out
 * of the bundle by name: of zod the other languages (the interface says its own sentences), JSON schema and compiled
 * parsers (the page forbids code from strings); of uuid every version but 7; of the router everything but its slot and
 * its links; of drawings what they would be touched by and read from text (a drawing of ours is not touched); of React Native lists, animations and the controls that we do not draw.
 */
const LEFT_OUT = {
  '@tanstack/react-query': [
    'useMutationState',
    'usePrefetchInfiniteQuery',
    'usePrefetchQuery',
    'useSuspenseInfiniteQuery',
    'useSuspenseQueries',
    'useSuspenseQuery',
  ].map((name) => `build/modern/${name}.js`),
  zod: [
    'v4/locales/index.js',
    'v4/core/compile.js',
    'v4/core/to-json-schema.js',
    'v4/core/json-schema-generator.js',
    'v4/core/json-schema-processors.js',
    'v4/classic/from-json-schema.js',
  ],
  uuid: ['parse', 'v1', 'v1ToV6', 'v3', 'v4', 'v5', 'v6', 'v6ToV1', 'version'].map((name) => `dist/${name}.js`),
  'expo-router': [
    'build/color/',
    'build/hooks/useLoaderData.js',
    'build/fork/native-stack/',
    'build/layouts/experimental-stack/',
    'build/layouts/stack-utils/',
    'build/layouts/Tabs',
    'build/link/Link.js',
    'build/native-tabs/',
    'build/react-navigation/bottom-tabs/',
    'build/react-navigation/core/StaticNavigation.js',
    'build/react-navigation/core/getPathFromState.js',
    'build/react-navigation/core/getStateFromPath.js',
    'build/react-navigation/elements/',
    'build/react-navigation/native/NavigationContainer.js',
    'build/react-navigation/native/createStaticNavigation.js',
    'build/react-navigation/native/useLinkProps.js',
    'build/react-navigation/native/useLinking.js',
    'build/react-navigation/native/useScrollToTop.js',
    'build/react-navigation/native-stack/',
    'build/react-navigation/routers/DrawerRouter.js',
    'build/react-navigation/routers/TabRouter.js',
    'build/screensFeatureFlags',
    'build/standard-navigation/',
    'build/views/Sitemap.js',
    'build/views/Unmatched.js',
    'build/views/useSitemap.js',
  ],
  'expo-glass-effect': [''],
  'react-native-screens': [''],
  'react-native-svg': ['extract/transform.js', 'extract/transformToRn.js', 'SvgTouchableMixin.js']
    .map((file) => `lib/module/lib/${file}`)
    .concat('lib/module/xml', 'lib/module/utils/fetchData.js'),
  'react-native-web': exportsOf(
    'ActivityIndicator Animated Button CheckBox Clipboard Easing FlatList Image ImageBackground InteractionManager ' +
      'LayoutAnimation PanResponder Picker ProgressBar RefreshControl SectionList Share Switch Touchable TouchableHighlight ' +
      'TouchableNativeFeedback TouchableOpacity TouchableWithoutFeedback Vibration VirtualizedList',
  ).concat('dist/exports/StyleSheet/validate.js'),
}

const isLeftOut = (filePath) =>
  Object.entries(LEFT_OUT).some(([npmPackage, paths]) =>
    paths.some((path) => filePath.includes(`/node_modules/${npmPackage}/${path}`)),
  )

config.resolver.resolveRequest = (context, name, platform) => {
  const found = context.resolveRequest(context, name, platform)
  return found.type === 'sourceFile' && isLeftOut(found.filePath)
    ? { type: 'sourceFile', filePath: join(__dirname, 'leftOut.js') }
    : found
}

module.exports = require('nativewind/metro').withNativeWind(config, { input: './src/global.css', inlineRem: 16 })
