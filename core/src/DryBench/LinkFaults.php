<?php

declare(strict_types=1);

namespace Linguator\Core\DryBench;

use Linguator\Core\Chain\AirJoiner;
use Linguator\Core\Gear\Module;
use Linguator\Core\Gear\Protocol;
use Linguator\Core\Gear\Radio;

/** Faults of power, wires and links. */
final readonly class LinkFaults
{
    public function __construct(private World $world, private Fault $fault, private Concerned $concerned)
    {
    }

    /** @throws NotHere */
    public function put(): World
    {
        return match ($this->fault->does) {
            Change::Unfed => $this->unfed(),
            Change::OtherRadio => $this->otherRadio(),
            Change::OtherBayFormat => $this->otherBayFormat(),
            Change::OtherMemory => $this->world->with(Oddity::OtherMemory)->parted(1, LinkTrouble::OtherNumber),
            Change::Parted => $this->parted(),
            Change::Sag => $this->world->with(Oddity::Sags)->fed($this->receiver(), Feed::Low),
            Change::PlugTurned => $this->world->with(Oddity::PlugTurned)->fed($this->receiver(), Feed::None),
            Change::WireBroken => $this->world->with(Oddity::WireBroken, $this->concerned->channel()),
            Change::AntennaDamaged => $this->world->with(Oddity::AntennaDamaged)->with(Oddity::ReachShort),
            default => $this->world->with(Oddity::ReachShort),
        };
    }

    private function unfed(): World
    {
        if ($this->fault->measure->text('box') === 'receiver') {
            return $this->world->fed($this->receiver(), Feed::None);
        }
        $modules = $this->concerned->rig->boxes->modules();

        return $modules === [] ? throw new NotHere('there is no module.') : $this->world->fed($modules[count($modules) - 1]->id, Feed::None);
    }

    private function receiver(): string
    {
        return $this->concerned->rig->boxes->receiver($this->concerned->hop())->id ?? throw new NotHere('there is no receiver.');
    }

    /** Needs a second radio that could be on in its place, or a bay that could be chosen. */
    private function otherRadio(): World
    {
        $handset = $this->concerned->rig->boxes->handset();
        $isModule = $this->concerned->rig->boxes->at(1) instanceof Module;
        $others = count($handset->radios ?? []) - ($isModule ? 0 : 1);

        return $others > 0 || (! $isModule && $handset?->hasBay === true)
            ? $this->world->with(Oddity::OtherRadio)->parted(1, LinkTrouble::Unsent)
            : throw new NotHere('there is one radio only, and no bay.');
    }

    private function otherBayFormat(): World
    {
        return $this->concerned->rig->boxes->at(1) instanceof Module ? $this->world->with(Oddity::OtherBayFormat) : throw new NotHere('the handset feeds no module.');
    }

    private function parted(): World
    {
        [$hop, $why] = [$this->concerned->hop(), LinkTrouble::from($this->fault->measure->text('why'))];
        [$sent, $heard] = $this->protocols($hop);
        $missing = match ($why) {
            LinkTrouble::Variant => $this->anyOf($sent, $heard, static fn (Protocol $protocol): bool => $protocol->variant !== null) ? null : 'its family has no variants.',
            LinkTrouble::Region => $this->anyOf($sent, $heard, static fn (Protocol $protocol): bool => $protocol->region !== null) ? null : 'neither end has a region on its card.',
            LinkTrouble::Mode => $this->anyOf($sent, [], static fn (Protocol $protocol): bool => count($protocol->modes ?? []) > 1) ? null : 'its link has one number of channels only.',
            default => null,
        };
        $parted = $missing === null ? $this->world->parted($hop, $why) : throw new NotHere($missing);

        return $why === LinkTrouble::OtherNumber ? $parted->with(Oddity::OtherNumber) : $parted;
    }

    /** @return array{list<Protocol>, list<Protocol>} Of the family in use, at both ends. */
    private function protocols(int $hop): array
    {
        $boxes = $this->concerned->rig->boxes;
        $receiver = $boxes->receiver($hop);
        $sender = $boxes->at((int) $boxes->receiverAt($hop) - 1);
        $family = explode('/', $this->concerned->rig->recordedVia($sender?->id() ?? '', $receiver->id ?? '') ?? '')[0];
        $sent = array_merge(...array_map(static fn (Radio $radio): array => $radio->protocols, $sender === null ? [] : AirJoiner::radiosOf($sender)));

        return [self::ofFamily($sent, $family), self::ofFamily($receiver->protocols ?? [], $family)];
    }

    /**
     * @param  list<Protocol>  $protocols
     * @return list<Protocol>
     */
    private static function ofFamily(array $protocols, string $family): array
    {
        return array_values(array_filter($protocols, static fn (Protocol $protocol): bool => $protocol->family === $family));
    }

    /**
     * @param  list<Protocol>  $sent
     * @param  list<Protocol>  $heard
     * @param  \Closure(Protocol): bool  $fits
     */
    private function anyOf(array $sent, array $heard, \Closure $fits): bool
    {
        return array_filter([...$sent, ...$heard], $fits) !== [];
    }
}
