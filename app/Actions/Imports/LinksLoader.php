<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use GreaterReach\Core\Exception\InvalidValue;
use GreaterReach\Core\Intake\BadCell;
use GreaterReach\Core\Site\DomainEntry;
use GreaterReach\Core\Site\PublicSuffixList;

/** Which sites link to which pages, each site by its registrable domain. */
final class LinksLoader extends TableLoader
{
    public function __construct(ImportOptions $order, private readonly PublicSuffixList $suffixes)
    {
        parent::__construct($order);
    }

    protected static function table(): string
    {
        return 'links';
    }

    protected static function noun(): string
    {
        return 'link';
    }

    public function columns(): array
    {
        return ['domain', 'target_url', 'authority', 'anchor', 'day'];
    }

    public function stage(int $line, array $values): array|BadCell
    {
        /** @var array{linking_domain: string, target_url: string, authority?: ?float, anchor?: ?string, date?: ?string} $values */
        try {
            $domain = DomainEntry::of($values['linking_domain'], $this->suffixes)->registrableDomain;
        } catch (InvalidValue $problem) {
            return new BadCell($line, 'linking_domain', $values['linking_domain'], $problem->reason.'.');
        }

        return [
            $domain,
            $values['target_url'],
            $values['authority'] ?? null,
            $values['anchor'] ?? null,
            $values['date'] ?? $this->order->day,
        ];
    }
}
