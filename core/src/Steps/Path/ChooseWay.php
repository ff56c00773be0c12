<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Path;

use Linguator\Core\Chain\Joint;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;
use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Items;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\SettingNames;

/** Of several ways in which two neighbours join, this one is taken. */
final readonly class ChooseWay implements Intent
{
    public function __construct(private string $from, private string $to, private string $via)
    {
    }

    public static function read(Node $told): self
    {
        return new self($told->text('from'), $told->text('to'), $told->text('via'));
    }

    /** @throws DocumentError at `from` if the two are no neighbours, at `via` if they do not join like this. */
    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        foreach ($rig->chain()->couplings as $neighbours) {
            if ($neighbours->from->id() === $this->from && $neighbours->to->id() === $this->to) {
                if (! $neighbours->ways->any(fn (Joint $joint): bool => $joint->via === $this->via)) {
                    throw DocumentError::at('via', 'These two do not join by '.Excerpt::of($this->via).'.', 'no_such_way');
                }
                $links = Items::of($rig, 'settings.links')->put(fn (Node $link): bool => $link->text('from') === $this->from && $link->text('to') === $this->to, ['via' => $this->via], ['from' => $this->from, 'to' => $this->to]);

                return new Deed($links->patch(), "{$neighbours->from->name()} to {$neighbours->to->name()} by ".SettingNames::way($this->via));
            }
        }

        throw DocumentError::at('from', 'No coupling of this rig joins '.Excerpt::of($this->from).' and '.Excerpt::of($this->to).'.', 'no_such_coupling');
    }
}
