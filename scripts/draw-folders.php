<?php

// Draws the folders of the core in their order (docs/architecture.svg) from core/folders.yaml; `--check` only says whether it is current.
declare(strict_types=1);

use Symfony\Component\Yaml\Yaml;

require __DIR__.'/../vendor/autoload.php';

const WIDTH = 760;
const ROW = 26;
const TOP = 64;
const LEFT = 30;
const HOLDS_AT = 236;

/** The bands that a newcomer tells apart, by the folder with which each begins. */
const BANDS = [
    'Document' => 'What everything speaks',
    'Timing' => 'Arithmetic of the hobby',
    'Format' => 'Signals',
    'Gear' => 'Equipment and rigs',
    'Steps' => 'The job, step by step',
    'Readiness' => 'The whole rig',
    'Search' => 'Doors',
];

function text(string $words): string
{
    return htmlspecialchars($words, ENT_XML1);
}

/** @param  list<array{folder: string, holds: string}>  $folders */
function drawing(array $folders): string
{
    [$rows, $y, $band] = ['', TOP, -1];
    foreach ($folders as $folder) {
        if (isset(BANDS[$folder['folder']])) {
            $band++;
            $y += $band === 0 ? 0 : 14;
            $rows .= sprintf("  <text class=\"band\" x=\"%d\" y=\"%d\">%s</text>\n", LEFT, $y + 17, text(BANDS[$folder['folder']]));
            $y += ROW;
        }
        $indent = str_contains($folder['folder'], '/') ? 22 : 0;
        $rows .= sprintf("  <rect class=\"%s\" x=\"%d\" y=\"%d\" width=\"%d\" height=\"%d\" rx=\"3\"/>\n", $band % 2 === 0 ? 'even' : 'odd', LEFT, $y, WIDTH - 2 * LEFT, ROW - 3)
            .sprintf("  <text class=\"folder\" x=\"%d\" y=\"%d\">%s</text>\n", LEFT + 10 + $indent, $y + 16, text($folder['folder']))
            .sprintf("  <text class=\"holds\" x=\"%d\" y=\"%d\">%s</text>\n", HOLDS_AT, $y + 16, text($folder['holds']));
        $y += ROW;
    }
    [$height, $foot] = [$y + 24, $y + 6];

    return <<<SVG
    <svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 760 $height" width="760" height="$height" role="img" aria-label="The folders of core/src in their order: each uses those above it only">
      <style>
        text { font-family: system-ui, sans-serif; fill: #17292d; font-size: 13px }
        .title { font-size: 17px; font-weight: 600 }
        .band { font-weight: 600; fill: #174650; font-size: 14px }
        .folder { font-family: ui-monospace, monospace; font-weight: 600 }
        .holds { fill: #43555a }
        .even { fill: #e3edec }
        .odd { fill: #f3ead8 }
        .page { fill: #fffdf8 }
        .way { stroke: #d98a00; stroke-width: 2; fill: none }
        .head { fill: #d98a00 }
      </style>
      <rect class="page" width="760" height="$height"/>
      <text class="title" x="30" y="30">core/src: each folder uses those above it only</text>
      <text class="holds" x="30" y="50">A test holds the code to it. What is drawn here is core/folders.yaml.</text>
      <path class="way" d="M16 $foot V64"/>
      <path class="head" d="M16 58 l-5 10 h10 z"/>
    $rows</svg>

    SVG;
}

$file = __DIR__.'/../docs/architecture.svg';
/** @var list<array{folder: string, holds: string}> $folders */
$folders = Yaml::parseFile(__DIR__.'/../core/folders.yaml');
$drawn = drawing($folders);
if (($argv[1] ?? '') === '--check') {
    exit(is_file($file) && file_get_contents($file) === $drawn ? 0 : 1);
}
file_put_contents($file, $drawn);
