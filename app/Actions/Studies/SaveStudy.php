<?php

declare(strict_types=1);

namespace App\Actions\Studies;

use App\Actions\Audit\PreviousValues;
use App\Exceptions\UserError;
use App\Models\Domain;
use App\Models\Study;
use GreaterReach\Core\Exception\InvalidValue;
use GreaterReach\Core\Intake\RowParser;
use GreaterReach\Core\Site\DomainEntry;
use GreaterReach\Core\Site\PublicSuffixList;
use Illuminate\Support\Facades\DB;

/** Makes a study, or changes one: its name, market, domain and competitors. */
final readonly class SaveStudy
{
    public const MOST_COMPETITORS = 10;

    /** Currency of a market where it is not the pound. */
    private const CURRENCIES = [
        'US' => 'USD',
        'CA' => 'CAD',
        'AU' => 'AUD',
        'NZ' => 'NZD',
        'CH' => 'CHF',
        'SE' => 'SEK',
        'NO' => 'NOK',
        'DK' => 'DKK',
        'PL' => 'PLN',
        'CZ' => 'CZK',
        'GB' => 'GBP',
        'JP' => 'JPY',
        'IN' => 'INR',
        'BR' => 'BRL',
    ];

    public function __construct(private PublicSuffixList $suffixes, private CarryOverImports $takeOver, private PreviousValues $before)
    {
    }

    /** @throws UserError */
    public function execute(StudyDraft $draft): SavedStudy
    {
        if (preg_match('/^[a-z0-9][a-z0-9-]{0,62}$/D', $draft->slug) !== 1) {
            throw UserError::because(
                'slug',
                sprintf('Short name "%s": use 1 to 63 lower-case letters, digits and hyphens.', InvalidValue::quote($draft->slug)),
            );
        }

        return DB::transaction(function () use ($draft): SavedStudy {
            /** @var ?Study $known */
            $known = Study::query()->where('slug', $draft->slug)->lockForUpdate()->first();
            $study = $known ?? $this->create($draft);
            $study->fill(array_filter([
                'name' => $draft->name === null ? null : self::name($draft->name),
                'country' => $draft->country === null ? null : self::country($draft->country),
                'language' => $draft->language === null ? null : self::language($draft->language),
                'device' => $draft->device === null ? null : self::device($draft->device),
            ], static fn(?string $value): bool => $value !== null));
            $study->currency = self::currency($study->country);
            if ($draft->asOf !== null) {
                $study->as_of = $draft->asOf === '' ? null : new \Carbon\CarbonImmutable(self::day($draft->asOf));
            }
            $study->save();
            $notes = $this->saveDomains($study, $draft);
            $study->touchData();

            return new SavedStudy($study->refresh()->load('domains'), $notes);
        });
    }

    /** A deleted study keeps its short name as long as it can be undone. */
    private static function isFree(string $slug): void
    {
        if (Study::onlyTrashed()->where('slug', $slug)->exists()) {
            throw UserError::because(
                'slug',
                sprintf('Study "%s" was deleted and can still be restored. Restore it or choose another short name.', $slug),
            );
        }
    }

    private function create(StudyDraft $draft): Study
    {
        if ($draft->name === null || $draft->domain === null) {
            throw UserError::because(
                $draft->name === null ? 'name' : 'domain',
                sprintf('Study "%s" is new. Give it a name and a domain.', $draft->slug),
            );
        }
        self::isFree($draft->slug);
        /** @var Study $study */
        $study = Study::query()->create([
            'slug' => $draft->slug,
            'name' => self::name($draft->name),
            'country' => self::country($draft->country ?? 'GB'),
            'language' => self::language($draft->language ?? 'en'),
            'device' => self::device($draft->device ?? 'desktop'),
            'currency' => 'GBP',
        ]);

        return $study;
    }

    /** @return list<string> what was taken over from domains that were written again */
    private function saveDomains(Study $study, StudyDraft $draft): array
    {
        $compared = $study->comparedDomains();
        $own = $draft->domain ?? $compared[0]->entry;
        $competitors = $draft->competitors ?? array_map(static fn(Domain $domain): string => $domain->entry, array_slice($compared, 1));
        $entries = $this->entries($own, $competitors);
        // Who is dropped stays as a candidate, so that its data is there if it comes back.
        $study->domains()->where('role', '!=', Domain::CANDIDATE)->update(['role' => Domain::CANDIDATE, 'place' => 0]);
        $saved = [];
        foreach ($entries as $place => $entry) {
            $domain = Domain::query()->firstOrNew(['study_id' => $study->id, 'entry' => $entry->label]);
            $scope = $domain->exists ? $domain->scope : $entry->scope;
            $domain->fill(['role' => $place === 0 ? Domain::OWN : Domain::COMPETITOR, 'place' => $place, 'scope' => $scope])->save();
            $saved[] = $domain;
        }

        $labels = static fn(array $domains): array => array_column($domains, 'entry');
        if ($compared !== [] && $labels($compared) !== $labels($saved)) {
            $this->before->note("study {$study->id}", ['compared' => $labels($compared)]);
        }

        return $this->takeOver($study, $compared, $saved);
    }

    /**
     * @param list<Domain> $before compared until now
     * @param list<Domain> $after  compared from now on
     *
     * @return list<string>
     */
    private function takeOver(Study $study, array $before, array $after): array
    {
        $notes = [];
        foreach (self::without($after, $before) as $new) {
            foreach (self::without($before, $after) as $old) {
                $notes[] = $this->takeOver->execute($study, $old, $new);
            }
        }

        return array_values(array_filter($notes, is_string(...)));
    }

    /**
     * @param list<Domain> $domains
     * @param list<Domain> $others
     *
     * @return array<int, Domain>
     */
    private static function without(array $domains, array $others): array
    {
        $ids = array_column($others, 'id');

        return array_filter($domains, static fn(Domain $domain): bool => ! \in_array($domain->id, $ids, true));
    }

    /**
     * @param list<string> $competitors
     *
     * @return non-empty-list<DomainEntry> ours first
     */
    private function entries(string $own, array $competitors): array
    {
        if (\count($competitors) > self::MOST_COMPETITORS) {
            throw UserError::because(
                'competitors',
                sprintf('A study can have at most %d competitors, not %d.', self::MOST_COMPETITORS, \count($competitors)),
            );
        }
        $entries = [];
        foreach ([$own, ...$competitors] as $place => $text) {
            $field = $place === 0 ? 'domain' : 'competitors';
            try {
                $entry = DomainEntry::of($text, $this->suffixes);
            } catch (InvalidValue $problem) {
                throw UserError::because($field, $problem->getMessage());
            }
            foreach ($entries as $other) {
                if ($other->isSameAs($entry)) {
                    throw UserError::because($field, sprintf('Domain "%s" is listed twice.', InvalidValue::quote($text)));
                }
            }
            $entries[] = $entry;
        }

        return $entries;
    }

    private static function name(string $name): string
    {
        $trimmed = trim($name);

        return $trimmed !== '' && mb_strlen($trimmed) <= 200
            ? $trimmed
            : throw UserError::because('name', 'Use 1 to 200 characters for the name.');
    }

    private static function country(string $country): string
    {
        $code = strtoupper(trim($country));
        // ZZ is the code for a region that is not known.
        $isKnown = preg_match('/^[A-Z]{2}$/D', $code) === 1 && $code !== 'ZZ' && \Locale::getDisplayRegion('-'.$code, 'en') !== $code;

        return $isKnown
            ? $code
            : throw UserError::because(
                'country',
                sprintf('Country "%s" isn’t a two-letter code such as GB.', InvalidValue::quote($country)),
            );
    }

    private static function language(string $language): string
    {
        $code = strtolower(trim($language));
        $isKnown = preg_match('/^[a-z]{2}$/D', $code) === 1 && \Locale::getDisplayLanguage($code, 'en') !== $code;

        return $isKnown
            ? $code
            : throw UserError::because(
                'language',
                sprintf('Language "%s" isn’t a two-letter code such as en.', InvalidValue::quote($language)),
            );
    }

    private static function device(string $device): string
    {
        return in_array($device, ['desktop', 'mobile'], true)
            ? $device
            : throw UserError::because('device', sprintf('Device "%s" is neither desktop nor mobile.', InvalidValue::quote($device)));
    }

    private static function currency(string $country): string
    {
        return self::CURRENCIES[$country] ?? 'EUR';
    }

    private static function day(string $text): string
    {
        try {
            return RowParser::day($text);
        } catch (InvalidValue $problem) {
            throw UserError::because('as_of', $problem->getMessage());
        }
    }
}
