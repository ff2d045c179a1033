const swc = ['@swc/jest', { jsc: { target: 'es2022', parser: { syntax: 'typescript' } }, module: { type: 'commonjs' } }]
const node = (name) => ({
  displayName: name,
  rootDir: `<rootDir>/${name}`,
  // Without a sandbox of its own for each file: in one, every `Math.exp` costs several times what it does (decision 0037).
  testEnvironment: 'jest-environment-node-single-context',
  testMatch: ['<rootDir>/**/*.test.ts'],
  transform: { '\\.[jt]s$': swc },
  transformIgnorePatterns: ['node_modules/(?!uuid/)'],
})
const untranspiled =
  '(jest-)?react-native|@react-native(-community)?|expo(nent)?|@expo(nent)?/.*|expo-.*|react-native-.*|nativewind|standard-navigation|uuid|d3-[a-z-]+|internmap|@tanstack/(react|table-core|react-table)[^/]*'

module.exports = {
  testTimeout: 180_000,
  projects: [
    node('core'),
    node('contract'),
    {
      ...node('server'),
      globalSetup: '<rootDir>/src/db/test/startTestDatabase.ts',
      globalTeardown: '<rootDir>/src/db/test/stopTestDatabase.ts',
    },
    node('tools'),
    {
      displayName: 'app',
      rootDir: '<rootDir>/app',
      preset: 'jest-expo/web',
      transform: { '\\.mjs$': swc },
      testMatch: ['<rootDir>/src/**/*.test.{ts,tsx}'],
      setupFilesAfterEnv: ['<rootDir>/jest.setup.ts'],
      moduleNameMapper: { '\\.css$': '<rootDir>/jest.empty.js' },
      transformIgnorePatterns: [`node_modules/(?!(${untranspiled})/)`],
    },
  ],
}
