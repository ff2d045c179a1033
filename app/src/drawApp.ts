import { ExpoRoot } from 'expo-router'
import { ctx } from 'expo-router/_ctx'
import { renderRootComponent } from 'expo-router/build/renderRootComponent'
import { createElement, type ComponentProps } from 'react'

/** As the router's own entry does, but without its head: the title of a page is set by its frame. */
const context = ctx as ComponentProps<typeof ExpoRoot>['context']
renderRootComponent(() => createElement(ExpoRoot, { context }))
