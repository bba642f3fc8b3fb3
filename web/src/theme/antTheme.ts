/** Ant Design Vue's tokens, so that its parts belong to the house: by day, on a slate sheet, and in service. */
import { theme } from 'ant-design-vue'
import type { ThemeConfig } from 'ant-design-vue/es/config-provider/context'

const SHARED = {
  borderRadius: 3,
  controlHeight: 32,
  fontFamily: "'Hanken Grotesk Variable', system-ui, sans-serif",
  fontSize: 15,
  motionDurationMid: '0.12s',
  motionDurationSlow: '0.16s'
}

export const antTheme: ThemeConfig = {
  algorithm: theme.defaultAlgorithm,
  token: {
    ...SHARED,
    colorPrimary: '#7c1f24',
    colorInfo: '#7c1f24',
    colorError: '#a3261f',
    colorWarning: '#8a5f1c',
    colorText: '#1d2224',
    colorTextSecondary: '#505a5c',
    colorTextDescription: '#505a5c',
    colorTextPlaceholder: '#667072',
    colorTextDisabled: '#667072',
    colorBorder: '#a9b2ad',
    colorSplit: '#c8cfca',
    colorBgContainer: '#f8f9f6',
    colorBgElevated: '#f8f9f6',
    colorBgLayout: '#eef0ec'
  },
  components: {
    Radio: { colorPrimary: '#1d2224', colorPrimaryHover: '#1d2224', colorPrimaryActive: '#000' },
    Table: { colorBgContainer: '#eef0ec', colorFillAlter: '#eef0ec', colorBorderSecondary: '#c8cfca', fontWeightStrong: 500 }
  }
}

const DARK = {
  ...SHARED,
  colorPrimary: '#e9b865',
  colorInfo: '#e9b865',
  colorError: '#ff9d8a',
  colorText: '#f3efe6',
  colorTextSecondary: '#b9bbb4',
  colorTextPlaceholder: '#b9bbb4',
  colorTextDisabled: '#a4a8a3',
  colorTextLightSolid: '#17120a'
}

/** By day what is chosen of a few is near black, and a theme within a theme takes over what it does not say itself. */
const CHOSEN = { Radio: { colorPrimary: DARK.colorPrimary, colorPrimaryHover: DARK.colorPrimary, colorPrimaryActive: DARK.colorPrimary } }

/** On the sheet at the right. */
export const slateTheme: ThemeConfig = {
  algorithm: theme.darkAlgorithm,
  token: { ...DARK, colorBorder: '#6b7173', colorSplit: '#454b4d', colorBgContainer: '#343a3c', colorBgElevated: '#343a3c' },
  components: CHOSEN
}

/** At the stove. */
export const serviceTheme: ThemeConfig = {
  algorithm: theme.darkAlgorithm,
  token: {
    ...DARK,
    colorBorder: '#4a5357',
    colorSplit: '#30383c',
    colorBgContainer: '#20262a',
    colorBgElevated: '#20262a',
    colorBgLayout: '#141a1d',
    colorTextLabel: '#c3c9c5'
  },
  components: { ...CHOSEN, Segmented: { colorBgElevated: '#3d5566' } }
}
