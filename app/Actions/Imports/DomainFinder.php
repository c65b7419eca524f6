<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use App\Exceptions\UserError;
use App\Models\Domain;
use App\Models\Study;
use GreaterReach\Core\Exception\InvalidValue;
use GreaterReach\Core\Site\DomainEntry;
use GreaterReach\Core\Site\PublicSuffixList;

/** Finds the domain of a study that a text means, however it is written. */
final class DomainFinder
{
    /** @var array<int, DomainEntry> domain id → entry */
    private array $entries = [];

    public function __construct(private readonly Study $study, private readonly PublicSuffixList $suffixes)
    {
        foreach ($study->domains as $domain) {
            $this->entries[$domain->id] = $domain->toEntry($suffixes);
        }
    }

    public function entry(int $domain): DomainEntry
    {
        return $this->entries[$domain];
    }

    /** @throws InvalidValue when the text is no domain at all */
    public function find(string $text): ?Domain
    {
        $label = mb_strtolower(trim($text), 'UTF-8');
        foreach ($this->study->domains as $domain) {
            if ($domain->entry === $label) {
                return $domain;
            }
        }
        $wanted = DomainEntry::of($text, $this->suffixes);
        foreach ($this->study->domains as $domain) {
            if ($this->entries[$domain->id]->isSameAs($wanted)) {
                return $domain;
            }
        }

        return null;
    }

    /** @throws UserError when the study has no such domain */
    public function get(string $text): Domain
    {
        try {
            $domain = $this->find($text);
        } catch (InvalidValue $problem) {
            throw UserError::because('domain', $problem->getMessage());
        }

        return $domain ?? throw UserError::because('domain', sprintf(
            'Study "%s" has no domain "%s"; it has %s.',
            $this->study->slug,
            InvalidValue::quote($text),
            $this->study->domains->pluck('entry')->implode(', '),
        ));
    }
}
