/** Ant Design Vue's tokens, so that its parts belong to the house. */
import { theme } from 'ant-design-vue'
import type { ThemeConfig } from 'ant-design-vue/es/config-provider/context'

export const antTheme: ThemeConfig = {
  algorithm: theme.defaultAlgorithm,
  token: {
    colorPrimary: '#7c1f24',
    colorInfo: '#7c1f24',
    colorError: '#a3261f',
    colorWarning: '#8a5f1c',
    colorText: '#1d2224',
    colorTextSecondary: '#505a5c',
    colorTextPlaceholder: '#667072',
    colorBorder: '#a9b2ad',
    colorBgContainer: '#f8f9f6',
    colorBgElevated: '#f8f9f6',
    colorBgLayout: '#eef0ec',
    borderRadius: 3,
    controlHeight: 32,
    fontFamily: "'Hanken Grotesk Variable', system-ui, sans-serif",
    fontSize: 15,
    motionDurationMid: '0.12s',
    motionDurationSlow: '0.16s'
  },
  components: {
    Segmented: { colorBgLayout: '#dde2dd', colorText: '#1d2224' }
  }
}
