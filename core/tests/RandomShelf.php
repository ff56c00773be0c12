<?php

declare(strict_types=1);

namespace Linguator\Core\Tests;

/** Shelves of invented gear for properties and benchmarks; the same seed gives the same shelf. */
final class RandomShelf
{
    private const FAMILIES = ['weft', 'tarn', 'sisal'];

    private \Random\Randomizer $random;

    public function __construct(int $seed)
    {
        $this->random = new \Random\Randomizer(new \Random\Engine\Mt19937($seed));
    }

    /**
     * @param  array<string, int>  $counts  How many of each kind, besides one handset `h` and one craft `z`.
     * @return list<\stdClass>
     */
    public function cards(array $counts): array
    {
        $cards = [$this->handset('h'), $this->craft('z')];
        foreach ($counts as $kind => $count) {
            for ($k = 0; $k < $count; $k++) {
                $cards[] = $this->{$kind}(($kind === 'converter' ? 'v' : substr($kind, 0, 2)).$k);
            }
        }

        return json_decode((string) json_encode($cards));
    }

    private function handset(string $id): array
    {
        return ['id' => $id, 'kind' => 'handset', 'name' => "Handset $id", 'channels' => $this->one([null, 6, 9, 16]), 'order' => $this->one(['AETR', 'TAER', null]),
            'radios' => $this->some(0, 2, fn (int $k) => ['id' => "r$k", 'protocols' => $this->protocols(true), 'always_on' => $this->chance(10)]),
            'bay' => ['outputs' => $this->some(0, 3, fn () => $this->output())],
            'trainer' => $this->chance(40) ? ['outputs' => $this->some(1, 1, fn () => $this->output())] : null,
            'pack' => $this->one([null, ['chemistry' => 'lipo', 'cells' => 3], ['chemistry' => 'life', 'cells' => 3]])];
    }

    private function craft(string $id): array
    {
        if ($this->chance(40)) {
            return ['feeds_v' => $this->one([null, 5, 9])] + $this->controller($id);
        }

        return ['id' => $id, 'kind' => 'servo_set', 'name' => "Craft $id", 'feeds_v' => $this->one([null, 5, 9]),
            'servos' => [['function' => 'throttle', 'digital' => $this->one([null, false])], ['function' => 'rudder']]];
    }

    private function module(string $id): array
    {
        return ['id' => $id, 'kind' => 'module', 'name' => "Module $id", 'inputs' => $this->some(1, 3, fn () => $this->input()), 'protocols' => $this->protocols(true),
            'remap' => $this->one([null, ['expects' => 'AETR', 'sends' => $this->one(['TAER', 'AETR', null]), 'switchable' => $this->chance(50), 'on' => $this->chance(80)]]),
            'supply' => $this->one([null, ['max_v' => 12], ['min_v' => 6, 'max_v' => 13]])];
    }

    private function receiver(string $id): array
    {
        return ['id' => $id, 'kind' => 'receiver', 'name' => "Receiver $id", 'protocols' => $this->protocols(false), 'outputs' => $this->some(1, 3, fn () => $this->output()),
            'supply' => $this->one([null, ['min_v' => 4, 'max_v' => 8.4], ['min_v' => 6, 'max_v' => 10]]), 'telemetry' => $this->one([null, true, false]),
            'channel_modes' => $this->one([null, ['1-8', '1-16'], ['1-16']]), 'reserved_channels' => $this->chance(20) ? [['channel' => 5, 'for' => 'arm']] : []];
    }

    private function converter(string $id): array
    {
        return ['id' => $id, 'kind' => 'converter', 'name' => "Converter $id", 'input' => $this->input(), 'output' => $this->output(), 'supply' => $this->one([null, ['max_v' => 6]])];
    }

    private function controller(string $id): array
    {
        return ['id' => $id, 'kind' => 'controller', 'name' => "Controller $id", 'inputs' => $this->some(1, 3, fn () => $this->input()), 'order' => $this->one(['AETR', 'TAER', null]),
            'outputs' => ['pins' => $this->one([null, 1, 3, 5]), 'passes_throttle' => $this->one([true, true, false, null]), 'period_ms' => $this->one([null, [20], [20, 5]])],
            'supply' => $this->one([null, ['min_v' => 4.5, 'max_v' => 6]])];
    }

    private function output(): array
    {
        $format = $this->one(['ppm', 's100i', 's420c', 'pwm', 'odd-one']);

        return ['format' => $format, 'polarity' => $this->one(['standard', 'standard', 'flipped', null]), 'level_v' => $this->one([null, 3.3, 5]),
            'period_ms' => $this->one([null, [22.5], [9, 14], [27, 18]]), 'mode' => $this->one([null, null, 'one', 'two'])]
            + ($format === 'pwm' ? $this->one([['pins' => 6], ['labels' => ['T', 'A', 'E', 'R', 'G']], ['pins' => 4, 'remappable' => true]]) : []);
    }

    private function input(): array
    {
        return ['format' => $this->one(['ppm', 's100i', 's420c', 'pwm', 'odd-one']), 'level_max_v' => $this->one([null, 3.6, 5]), 'max_rate_hz' => $this->one([null, null, 60, 100])]
            + ($this->chance(30) ? ['polarity' => $this->one(['standard', 'flipped', 'either', null])] : []);
    }

    private function protocols(bool $sends): array
    {
        return $this->some(1, 3, fn () => ['family' => $this->one(self::FAMILIES), 'variant' => $this->one([null, 'auto', 'a', 'b']), 'frame_ms' => $this->one([null, [9], [11, 22], [22]]),
            'channels' => $this->one([null, 8, 12, 16]), 'region' => $this->one([null, null, 'world', 'other']), 'firmware' => $this->one([null, null, '1', '2'])]
            + ($sends ? ['modes' => $this->one([null, null, ['1-16', '1-8'], ['1-8']]), 'order' => $this->one([null, 'TAER'])] : ['refuses_auto' => $this->chance(20)]));
    }

    private function some(int $least, int $most, callable $make): array
    {
        $count = $this->random->getInt($least, $most);

        return $count === 0 ? [] : array_map($make, range(0, $count - 1));
    }

    private function one(array $choices): mixed
    {
        return $choices[$this->random->getInt(0, count($choices) - 1)];
    }

    private function chance(int $percent): bool
    {
        return $this->random->getInt(1, 100) <= $percent;
    }
}
