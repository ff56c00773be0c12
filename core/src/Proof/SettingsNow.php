<?php

declare(strict_types=1);

namespace Linguator\Core\Proof;

use Linguator\Core\Document\Node;
use Linguator\Core\Gear\Box;
use Linguator\Core\Gear\Controller;
use Linguator\Core\Gear\Module;
use Linguator\Core\Gear\Receiver;
use Linguator\Core\Rig\ChannelRecord;
use Linguator\Core\Rig\RigDocument;

/** The settings that proofs depend on, as a rig has them now. */
final class SettingsNow
{
    /** @var \WeakMap<RigDocument, self>|null */
    private static ?\WeakMap $known = null;

    /** @var array<string, mixed> By name and hop: a rig's document does not change, and every check asks for the same. */
    private array $read = [];

    private function __construct(private readonly RigDocument $rig)
    {
    }

    public static function of(RigDocument $rig): self
    {
        self::$known ??= new \WeakMap;

        return self::$known[$rig] ??= new self($rig);
    }

    /**
     * The settings named, to be recorded with a proof.
     *
     * @param  list<Dependency>  $settings
     * @param  int  $hop  From 1.
     */
    public function record(array $settings, int $hop = 1): \stdClass
    {
        $record = new \stdClass;
        foreach ($settings as $setting) {
            $record->{$setting->value} = $this->now($setting, $hop);
        }

        return $record;
    }

    public function now(Dependency $setting, int $hop = 1): mixed
    {
        $key = "$setting->value/$hop";
        if (! array_key_exists($key, $this->read)) {
            $this->read[$key] = $this->read($setting, $hop);
        }

        return $this->read[$key];
    }

    private function read(Dependency $setting, int $hop): mixed
    {
        $settings = $this->rig->settings();

        return match ($setting) {
            Dependency::Order => $this->rig->handsetOrder()?->toString(),
            Dependency::ControllerOrder => $this->controllerOrder(),
            Dependency::Remap => $this->remaps(),
            Dependency::Directions => $this->byChannel(static fn (ChannelRecord $channel): bool => $channel->now()->reversed),
            Dependency::Ends => $this->byChannel(static fn (ChannelRecord $channel): array => $channel->endsOrUsual()->values()),
            Dependency::Weights => $this->byChannel(static fn (ChannelRecord $channel): array => [$channel->inputWeight(), $channel->mixWeight()]),
            Dependency::Travel => $this->byChannel(static fn (ChannelRecord $channel): array => [$channel->now()->loPct, $channel->now()->hiPct, $channel->now()->subtrim]),
            Dependency::Receiver => $this->boxId(Receiver::class, $hop),
            Dependency::Module => $this->boxId(Module::class, 1),
            Dependency::Controller => $this->boxId(Controller::class, 1),
            Dependency::Craft => $this->rig->boxes->craft()?->id(),
            Dependency::Channels => $this->rig->functions()?->jsonSerialize() ?? [],
            Dependency::Plugs => $settings->textOrNull('plugs') ?? 'labels',
            Dependency::Variant => $settings->textOrNull('variant') ?? $this->link($hop)?->text('via'),
            Dependency::ChannelMode => $settings->textOrNull('channel_mode') ?? $this->link($hop)?->node('settings')?->textOrNull('channel_mode'),
            Dependency::Pack => $settings->get('pack') ?? ($this->rig->cards === [] ? null : $this->rig->cards[0]->node()->get('pack')),
            Dependency::Failsafe => $this->failsafe($hop),
            Dependency::Links, Dependency::Switches, Dependency::Windows => $settings->items($setting->value),
            Dependency::Thresholds => $settings->get('thresholds') ?? new \stdClass,
            Dependency::Supplies => $settings->get('supplies') ?? new \stdClass,
            Dependency::ReceiverNumber, Dependency::PowerMw, Dependency::CraftPack, Dependency::Antenna => $settings->get($setting->value),
        };
    }

    /** What is recorded for the loss of a hop's link, without when and by whom. */
    private function failsafe(int $hop): \stdClass
    {
        foreach ($this->rig->settings()->nodes('failsafe') as $entry) {
            if ($entry->int('hop') === $hop) {
                return (object) ['mode' => $entry->get('mode'), 'stored_us' => $entry->get('stored_us'), 'set_by' => $entry->get('set_by')];
            }
        }

        return (object) ['mode' => null, 'stored_us' => null, 'set_by' => null];
    }

    /** The order the acting controller takes: as set, else its card's; null without one. */
    private function controllerOrder(): ?string
    {
        $controller = $this->rig->boxes->controller();

        return $controller === null ? null : ($this->rig->controllerOrder() ?? $controller->order)?->toString();
    }

    private function remaps(): \stdClass
    {
        $remaps = new \stdClass;
        foreach ($this->rig->boxes->modules() as $module) {
            if ($module->expects !== null) {
                $remaps->{$module->id} = $this->rig->remapIsOn($module->id, $module->remapOn);
            }
        }

        return $remaps;
    }

    /**
     * @param  callable(ChannelRecord): mixed  $of
     * @return list<mixed> For channels 1 up to the last one written down.
     */
    private function byChannel(callable $of): array
    {
        $last = max([0, ...array_map(static fn (Node $entry): int => $entry->int('channel'), $this->rig->settings()->nodes('channels'))]);
        $list = [];
        for ($channel = 1; $channel <= $last; $channel++) {
            $list[] = $of(new ChannelRecord($this->rig, $channel));
        }

        return $list;
    }

    /** @param  class-string<Box>  $class */
    private function boxId(string $class, int $which): ?string
    {
        $found = array_values(array_filter($this->rig->boxes->all, static fn (Box $box): bool => $box instanceof $class));

        return isset($found[$which - 1]) ? $found[$which - 1]->id() : null;
    }

    /** The air link of a hop, as it was recorded. */
    private function link(int $hop): ?Node
    {
        $receiver = $this->rig->boxes->receiver($hop)?->id;
        foreach ($this->rig->settings()->nodes('links') as $link) {
            if ($link->text('to') === $receiver) {
                return $link;
            }
        }

        return null;
    }
}
