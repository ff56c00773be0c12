<?php

declare(strict_types=1);

namespace Linguator\Core\Switching;

use Linguator\Core\Finding\Findings;

/** A window of the controller with the positions that fall into it. */
final readonly class WindowVerdict
{
    /**
     * @param  list<int>  $inside  Positions whose level is inside.
     * @param  \stdClass  $margins  By wanted position: µs to the nearer edge, negative outside.
     * @param  WindowRange  $widened  With every wanted level inside, and room around it.
     */
    public function __construct(public string $name, public array $inside, public \stdClass $margins, public bool $ok, public WindowRange $widened, public Findings $findings)
    {
    }
}
