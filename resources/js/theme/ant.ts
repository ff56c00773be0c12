import type { ThemeConfig } from 'ant-design-vue/es/config-provider/context'

/** The component library in our own clothes; the same colours as tokens.css, which it cannot read. */
const light = {
  colorPrimary: '#174650',
  colorText: '#17292d',
  colorTextSecondary: '#55666a',
  colorTextPlaceholder: '#5f6f72',
  colorBgBase: '#fffdf8',
  colorBgContainer: '#fffdf8',
  colorBgElevated: '#fffdf8',
  colorBorder: '#b9ae98',
  colorBorderSecondary: '#ddd4c2',
  colorError: '#a4231b',
  colorWarning: '#d98a00',
  colorTextLightSolid: '#fffdf8',
  colorTextDisabled: '#6f7b78',
  colorBgContainerDisabled: '#efe9dc',
  controlItemBgActive: '#e3edec',
  controlItemBgHover: '#f6f1e6',
}

const dark = {
  colorPrimary: '#a9d0d4',
  colorText: '#f1eadb',
  colorTextSecondary: '#a9bcbd',
  colorTextPlaceholder: '#a9bcbd',
  colorBgBase: '#12343c',
  colorBgContainer: '#12343c',
  colorBgElevated: '#12343c',
  colorBorder: '#4c757d',
  colorBorderSecondary: '#2b545d',
  colorError: '#ff9c8f',
  colorWarning: '#e5a02a',
  colorTextLightSolid: '#0e2a31',
  colorTextDisabled: '#8fa5a7',
  colorBgContainerDisabled: '#0e2a31',
  controlItemBgActive: '#17404a',
  controlItemBgHover: '#17404a',
}

export function antTheme(isDark: boolean): ThemeConfig {
  return {
    token: {
      ...(isDark ? dark : light),
      borderRadius: 5,
      controlHeight: 36,
      fontFamily: "'Barlow', 'Liberation Sans', sans-serif",
      fontSize: 15,
      lineWidth: 1,
      controlOutlineWidth: 0,
      motionDurationMid: '0.12s',
      wireframe: false,
    },
    components: {
      Button: { fontWeight: 600, boxShadow: 'none' } as Record<string, unknown>,
    },
  }
}
