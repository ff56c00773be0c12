<?php

declare(strict_types=1);

namespace Linguator\Core\Capture;

use Linguator\Core\Line\Edges;

/** The changes of a wire as a table or a value change dump. */
final class EdgeText
{
    private const NS_PER_US = 1000;

    /**
     * @param  int  $idle  Level before the first change.
     * @param  iterable<Edges>  $edges
     * @return \Generator<int, string>
     */
    public static function csv(int $idle, iterable $edges): \Generator
    {
        yield "time_us,wire\n0.000,$idle\n";
        foreach ($edges as $some) {
            $rows = '';
            foreach ($some->times as $k => $us) {
                $rows .= sprintf("%.3F,%d\n", $us, $some->level ^ $k & 1);
            }
            yield $rows;
        }
    }

    /**
     * @param  int  $idle  Level before the first change.
     * @param  iterable<Edges>  $edges
     * @return \Generator<int, string>
     */
    public static function vcd(int $idle, iterable $edges): \Generator
    {
        yield "\$timescale 1 ns \$end\n\$scope module capture \$end\n\$var wire 1 ! wire \$end\n\$upscope \$end\n\$enddefinitions \$end\n#0\n$idle!\n";
        foreach ($edges as $some) {
            $rows = '';
            foreach ($some->times as $k => $us) {
                $rows .= '#'.(int) round($us * self::NS_PER_US)."\n".($some->level ^ $k & 1)."!\n";
            }
            yield $rows;
        }
    }
}
