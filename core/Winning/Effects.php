<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

/**
 * What work brings, learnt apart for new and for existing pages, and how new pages of the market did, which new our pages start from.
 *
 * @phpstan-import-type KeptEffect from Effect
 * @phpstan-type KeptEffects array{market_pages: int, market_shift: float, new: KeptEffect, existing: KeptEffect}
 */
final readonly class Effects
{
    /** Standard deviation of the priors. */
    private const SPREAD = .7;

    public function __construct(
        /** New pages of any compared domain that the market's shift was learnt from. */
        public int $marketPages,
        public float $marketShift,
        public Effect $new,
        public Effect $existing,
    ) {
    }

    /** @param list<FinishedItem> $finished of ours */
    public static function learn(int $marketPages, float $marketShift, array $finished = []): self
    {
        $of = static fn(PageKind $kind): array => array_values(
            array_filter($finished, static fn(FinishedItem $item): bool => $item->kind === $kind),
        );

        return new self(
            $marketPages,
            $marketShift,
            Effect::prior($marketShift, self::SPREAD)->learning($of(PageKind::New)),
            Effect::prior(0.0, self::SPREAD)->learning($of(PageKind::Existing)),
        );
    }

    /** The same market, taught by other items. */
    public function taughtBy(FinishedItem ...$finished): self
    {
        return self::learn($this->marketPages, $this->marketShift, array_values($finished));
    }

    public function of(PageKind $kind): Effect
    {
        return $kind === PageKind::New ? $this->new : $this->existing;
    }

    /** @return KeptEffects */
    public function toArray(): array
    {
        return [
            'market_pages' => $this->marketPages,
            'market_shift' => $this->marketShift,
            'new' => $this->new->toArray(),
            'existing' => $this->existing->toArray(),
        ];
    }

    /** @param KeptEffects $kept */
    public static function fromArray(array $kept): self
    {
        return new self(
            $kept['market_pages'],
            (float) $kept['market_shift'],
            Effect::fromArray($kept['new']),
            Effect::fromArray($kept['existing']),
        );
    }
}
