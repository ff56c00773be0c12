<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** The one page that all screens are drawn in; the script of the screen asked for is fetched beside the application's, not after it. */
final readonly class PageController
{
    /** Scripts of the larger screens by their address, first match; a screen that is not here is fetched when the router asks for it. */
    private const SCREENS = [
        '#^rigs/[^/]+/(sheet|label|at/.*)$#' => null,
        '#^rigs/[^/]+/dance$#' => 'pages/dance/DancePage.vue',
        '#^rigs/#' => 'pages/rig/RigPage.vue',
        '#^shelf#' => 'pages/shelf/ShelfPage.vue',
        '#^signals(/\d+)?$#' => 'pages/signals/SignalPage.vue',
        '#^dry-bench$#' => 'pages/drybench/DryBenchPage.vue',
        '#^fault$#' => 'pages/fault/FaultPage.vue',
        '#^practice#' => 'pages/practice/PracticePage.vue',
        '#^tools/#' => 'pages/tools/ToolPage.vue',
    ];

    public function __invoke(Request $request): View
    {
        return view('app', ['scripts' => array_map(static fn (string $script): string => "resources/js/$script", array_filter(['main.ts', self::screen($request->path())]))]);
    }

    private static function screen(string $path): ?string
    {
        foreach (self::SCREENS as $pattern => $script) {
            if (preg_match($pattern, $path) === 1) {
                return $script;
            }
        }

        return null;
    }
}
