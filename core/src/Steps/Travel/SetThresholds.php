<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Travel;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;
use Linguator\Core\Rig\ThresholdSettings;

/** Thresholds and dead band of the controller are set to these; one that is not named stays. */
final readonly class SetThresholds implements Intent
{
    private const WORDS = ['low' => 'low threshold', 'high' => 'high threshold', 'deadband' => 'dead band'];

    public function __construct(private ThresholdSettings $set)
    {
    }

    public static function read(Node $told): self
    {
        return new self(new ThresholdSettings($told->numberOrNull('low'), $told->numberOrNull('high'), $told->numberOrNull('deadband')));
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        $controller = $rig->boxes->controller() ?? throw DocumentError::at('', 'This rig has no controller whose thresholds could be set.', 'no_controller');
        [$set, $words] = [[], []];
        foreach (self::WORDS as $key => $word) {
            $us = $this->set->{$key};
            if (is_float($us)) {
                $set["settings.thresholds.$key"] = $us;
                $words[] = sprintf('%s %g µs', $word, $us);
            }
        }

        return new Deed(RigPatch::of($set), "$controller->name: ".implode(', ', $words));
    }
}
