<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Order;

use Linguator\Core\Channel\FixPlace;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;

/** The order is mended at one of the places that this gear allows. */
final readonly class MendOrder implements Intent
{
    /** @param  string|null  $module  Id, where a module is switched. */
    public function __construct(private FixPlace $at, private ?string $module = null)
    {
    }

    public static function read(Node $told): self
    {
        return new self(FixPlace::from($told->text('at')), $told->textOrNull('module'));
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        foreach ((new OrderReview($rig))->fixes() as $offered) {
            if ($offered->fix->at === $this->at && $offered->module === $this->module) {
                return new Deed(RigPatch::of($this->settings($rig, $offered)), "Order mended: $offered->title");
            }
        }

        throw DocumentError::at('at', "The order of this rig cannot be mended at the {$this->at->value}, or needs no mending.", 'no_such_fix');
    }

    /** @return array<string, mixed> By place. */
    private function settings(RigDocument $rig, OfferedFix $offered): array
    {
        return match ($this->at) {
            FixPlace::Plugs => ['settings.plugs' => 'arrival'],
            FixPlace::Controller => ['settings.controller_order' => $offered->fix->order?->toString() ?? ''],
            FixPlace::Handset => SetHandsetOrder::places($rig, $offered->fix->order?->toString() ?? ''),
            FixPlace::Module => ["settings.remap.$this->module" => $offered->fix->remap === true],
        };
    }
}
