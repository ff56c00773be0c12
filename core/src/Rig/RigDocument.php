<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Chain\Boxes;
use Linguator\Core\Channel\ChannelOrder;
use Linguator\Core\Channel\Functions;
use Linguator\Core\Document\KeyOrder;
use Linguator\Core\Document\Node;
use Linguator\Core\Gear\Box;
use Linguator\Core\Gear\GearCard;
use Linguator\Core\Gear\Handset;
use Linguator\Core\Gear\Kind;
use Linguator\Core\Gear\ServoSet;
use Linguator\Core\Supply\Pack;

/** One chain set up for one craft, with its settings and what was checked. The document is kept as it came. */
final class RigDocument
{
    private const USUAL_CHANNELS = 8;

    private ?RigChain $chain = null;

    private ?HandsetTraits $traits = null;

    /** @var list<SwitchSetting>|null */
    private ?array $switches = null;

    private mixed $canonical = null;

    /**
     * @param  list<GearCard>  $cards  The chain, from handset to craft.
     * @param  Boxes  $boxes  The same, read for the arithmetic.
     * @param  RigLog|null  $log  Its history, where it is kept beside the document.
     */
    private function __construct(public readonly \stdClass $document, public readonly array $cards, public readonly Boxes $boxes, private readonly ?RigLog $log)
    {
    }

    /**
     * @param  \stdClass  $document  One that `RigReader` has passed.
     * @param  RigLog|null  $log  Its history, where it is kept beside it; null: the one inside counts.
     */
    public static function of(\stdClass $document, ?RigLog $log = null): self
    {
        $cards = array_map(static fn (Node $card): GearCard => GearCard::of($card->value), (new Node($document))->nodes('chain'));

        return new self($document, $cards, new Boxes(array_map(static fn (GearCard $card): Box => $card->box(), $cards)), $log);
    }

    /** The same boxes, set up otherwise: only what stands beside `chain` may differ. */
    public function withSameChain(\stdClass $document): self
    {
        return new self($document, $this->cards, $this->boxes, $this->log);
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

    /** The chain joined box by box; found out once. */
    public function chain(): RigChain
    {
        return $this->chain ??= RigChain::of($this);
    }

    /** Whether a controller in it holds the craft's position. */
    public function holdsPosition(): bool
    {
        foreach ($this->cards as $card) {
            if ($card->kind === Kind::Controller && $card->node()->flag('position_hold')) {
                return true;
            }
        }

        return false;
    }

    /** What the handset's card says of its scale, trims and switches. */
    public function handset(): HandsetTraits
    {
        return $this->traits ??= new HandsetTraits($this);
    }

    /** As far as it is at hand: of a long one, the last entries. */
    public function log(): RigLog
    {
        return $this->log ?? new RigLog(array_map(static fn (Node $entry): \stdClass => $entry->value, $this->node()->nodes('log')));
    }

    public function kind(): CraftKind
    {
        return CraftKind::from($this->craft()->text('kind'));
    }

    /** @return list<SwitchSetting> Functions on switches, in the order of the document. */
    public function switches(): array
    {
        $entries = $this->settings()->nodes('switches');

        return $this->switches ??= array_map(fn (Node $entry, int $position): SwitchSetting => new SwitchSetting($entry, $position, $this->handset(), new ChannelRecord($this, $entry->int('channel'))), $entries, array_keys($entries));
    }

    public function switchOf(string $function): ?SwitchSetting
    {
        foreach ($this->switches() as $switch) {
            if ($switch->function === $function) {
                return $switch;
            }
        }

        return null;
    }

    /** @return list<WindowSetting> In the order of the document. */
    public function windows(): array
    {
        $entries = $this->settings()->nodes('windows');

        return array_map(WindowSetting::fromNode(...), $entries, array_keys($entries));
    }

    /** The first window of this name; null: there is none. */
    public function window(string $name): ?WindowSetting
    {
        foreach ($this->windows() as $entry) {
            if ($entry->window->name === $name) {
                return $entry;
            }
        }

        return null;
    }

    /**
     * How many channels must get through: as asked, else as many as the functions told or the servos of the craft need, else eight.
     *
     * @return positive-int
     */
    public function channels(): int
    {
        $highest = $this->functions()?->highest() ?? 0;
        $craft = $this->boxes->craft();
        $needed = match (true) {
            $highest > 0 => max(ChannelOrder::STICKS, $highest),
            $craft instanceof ServoSet && $craft->functions !== [] => $craft->channels(),
            default => self::USUAL_CHANNELS,
        };

        return max(1, $this->path()->intOrNull('channels') ?? $needed);
    }

    /** Null: not told. */
    public function functions(): ?Functions
    {
        return $this->craft()->has('functions') ? Functions::fromNodes($this->craft()->nodes('functions')) : null;
    }

    public function handsetOrder(): ?ChannelOrder
    {
        return ChannelOrder::tryOf($this->settings()->textOrNull('order')) ?? $this->boxes->handset()?->order;
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

        return Pack::orNull($pack) ?? $this->boxes->handset()?->pack;
    }

    public function craftPack(): ?Pack
    {
        $pack = $this->settings()->node('craft_pack');

        return Pack::orNull($pack);
    }

    /** Whether the throttle's middle stops the motor: as told, else so for a car and a boat. */
    public function motorOffAtCentre(): bool
    {
        return ($this->craft()->textOrNull('motor_off') ?? ($this->kind()->runsOnTheGround() ? 'centre' : 'low')) === 'centre';
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
