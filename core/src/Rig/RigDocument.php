<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Channel\ChannelOrder;
use Linguator\Core\Document\KeyOrder;
use Linguator\Core\Document\Node;
use Linguator\Core\Gear\Box;
use Linguator\Core\Gear\Controller;
use Linguator\Core\Gear\GearCard;
use Linguator\Core\Gear\Handset;
use Linguator\Core\Gear\ServoSet;
use Linguator\Core\Supply\Pack;

/** One chain set up for one craft, with its settings and what was checked. The document is kept as it came. */
final class RigDocument
{
    private const USUAL_CHANNELS = 8;

    private ?DependentSettings $dependent = null;

    private mixed $canonical = null;

    /**
     * @param  list<GearCard>  $cards  The chain, from handset to craft.
     * @param  list<Box>  $boxes  The same, read for the arithmetic.
     */
    private function __construct(public readonly \stdClass $document, public readonly array $cards, public readonly array $boxes)
    {
    }

    /** The settings that checks depend on, each read once. */
    public function dependent(): DependentSettings
    {
        return $this->dependent ??= new DependentSettings($this);
    }

    /** @param  \stdClass  $document One that `RigReader` has passed. */
    public static function of(\stdClass $document): self
    {
        $cards = array_map(static fn (Node $card): GearCard => GearCard::of($card->value), (new Node($document))->nodes('chain'));

        return new self($document, $cards, array_map(static fn (GearCard $card): Box => $card->box(), $cards));
    }

    public static function blank(string $name, string $craftKind): \stdClass
    {
        return (object) [
            'linguator' => 1,
            'name' => $name,
            'craft' => (object) ['kind' => $craftKind],
            'chain' => [],
            'settings' => new \stdClass,
        ];
    }

    public function name(): string
    {
        return $this->node()->text('name');
    }

    public function node(): Node
    {
        return new Node($this->document);
    }

    public function settings(): Node
    {
        return $this->node()->node('settings') ?? new Node(new \stdClass);
    }

    public function craft(): Node
    {
        return $this->node()->node('craft') ?? new Node(new \stdClass);
    }

    public function path(): Node
    {
        return $this->node()->node('path') ?? new Node(new \stdClass);
    }

    public function card(string $id): ?GearCard
    {
        foreach ($this->cards as $card) {
            if ($card->id === $id) {
                return $card;
            }
        }

        return null;
    }

    public function nameOf(string $id): string
    {
        return $this->card($id)->name ?? $id;
    }

    public function handset(): ?Handset
    {
        $first = $this->boxes[0] ?? null;

        return $first instanceof Handset ? $first : null;
    }

    /** What the chain ends in, if it ends in a craft. */
    public function craftBox(): Controller|ServoSet|null
    {
        $last = $this->boxes === [] ? null : $this->boxes[count($this->boxes) - 1];

        return $last instanceof Controller || $last instanceof ServoSet ? $last : null;
    }

    /**
     * How many channels must get through: as asked, else as many as the functions need, else eight.
     *
     * @return positive-int
     */
    public function channels(): int
    {
        $functions = array_column($this->functions() ?? [], 'channel');

        return max(1, $this->path()->intOrNull('channels') ?? ($functions === [] ? self::USUAL_CHANNELS : max(4, ...$functions)));
    }

    /** @return list<array{function: string, channel: int}>|null Null: not told. */
    public function functions(): ?array
    {
        if (! $this->craft()->has('functions')) {
            return null;
        }

        return array_map(
            static fn (Node $entry): array => ['function' => $entry->text('function'), 'channel' => $entry->int('channel')],
            $this->craft()->nodes('functions'),
        );
    }

    public function handsetOrder(): ?ChannelOrder
    {
        return ChannelOrder::tryOf($this->settings()->textOrNull('order')) ?? $this->handset()?->order;
    }

    public function controllerOrder(): ?ChannelOrder
    {
        return ChannelOrder::tryOf($this->settings()->textOrNull('controller_order'));
    }

    /** Whether a module's remapping is on: as set in this rig, else as delivered. */
    public function remapIsOn(string $module, bool $asDelivered): bool
    {
        return $this->settings()->node('remap')?->flagOrNull($module) ?? $asDelivered;
    }

    public function plugsByArrival(): bool
    {
        return $this->settings()->textOrNull('plugs') === 'arrival';
    }

    /** The handset's pack: as set in this rig, else the card's. */
    public function pack(): ?Pack
    {
        $pack = $this->settings()->node('pack');

        return $pack === null ? $this->handset()?->pack : Pack::fromNode($pack);
    }

    public function craftPack(): ?Pack
    {
        $pack = $this->settings()->node('craft_pack');

        return $pack === null ? null : Pack::fromNode($pack);
    }

    /** Whether the throttle's middle stops the motor: as told, else so for a car and a boat. */
    public function motorOffAtCentre(): bool
    {
        return ($this->craft()->textOrNull('motor_off') ?? (in_array($this->craft()->textOrNull('kind'), ['car', 'boat'], true) ? 'centre' : 'low')) === 'centre';
    }

    /** What was recorded for the link between two boxes; null if nothing was. */
    public function recordedVia(string $from, string $to): ?string
    {
        foreach ($this->settings()->nodes('links') as $link) {
            if ($link->text('from') === $from && $link->text('to') === $to) {
                return $link->text('via');
            }
        }

        return null;
    }

    /** Whether somebody has said that this setting is made in the box. */
    public function isDone(string $box, string $setting, string|float|int|bool $to): bool
    {
        $done = $this->settings()->node('done')?->get("$box/$setting");

        return is_float($done) || is_int($done) ? is_numeric($to) && (float) $done === (float) $to : $done === $to;
    }

    public function canonical(): \stdClass
    {
        $this->canonical ??= KeyOrder::canonical($this->document);
        assert($this->canonical instanceof \stdClass);

        // Keys may be taken off it; what lies below is everybody's.
        return clone $this->canonical;
    }
}
