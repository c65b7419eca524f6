<?php

declare(strict_types=1);

namespace GreaterReach\Core\Explanation;

use GreaterReach\Core\Priority\Tactic;

/** The work on one page in a sentence or two that its writer can start from. */
final readonly class ProposedChange
{
    private const MOST_HEADINGS = 3;

    /**
     * @param ?string      $page      ours; null for a new one
     * @param int          $more      keywords beside the lead that the page is to serve
     * @param list<string> $others    our other pages that compete with it
     * @param list<string> $uncovered what the leading pages cover and it does not
     */
    public function __construct(
        private string $lead,
        private ?string $page,
        private ?int $position,
        private ?int $target,
        private int $more,
        private array $others = [],
        private array $uncovered = [],
        private ?string $title = null,
    ) {
    }

    public function sentence(Tactic $tactic): string
    {
        $page = $this->page === null ? 'the page' : self::path($this->page);
        $lead = "“{$this->lead}”";
        $sentence = match ($tactic) {
            Tactic::NewPage => "Write a page for {$lead}".$this->more().$this->aim(),
            Tactic::ExtendPage => "Extend {$page} so that it also answers {$lead}".$this->more().$this->aim(),
            Tactic::ImprovePage => "Improve {$page} for {$lead}".$this->more().$this->way(),
            Tactic::RefreshPage => "Bring {$page} up to date: it lost ground for {$lead}".$this->way(),
            Tactic::MergePages => $this->others === []
                ? "Merge the pages that compete for {$lead} into {$page} and redirect the others"
                : 'Merge '.implode(' and ', array_map(self::path(...), $this->others))
                    ." into {$page} and redirect ".(\count($this->others) === 1 ? 'it' : 'them'),
            Tactic::TestTitle => "Test a title for {$page} that answers {$lead}"
                .($this->title === null ? '' : ". Today it reads “{$this->title}”"),
        };
        $headings = \array_slice($this->uncovered, 0, self::MOST_HEADINGS);

        return $sentence.'.'.($headings === [] || $tactic === Tactic::TestTitle
            ? ''
            : ' Cover what the leading pages cover'.($this->page === null ? '' : ' and ours doesn’t').': '.implode('; ', $headings).'.');
    }

    /** Its domain is ours. */
    private static function path(string $url): string
    {
        return (string) preg_replace('~^https?://[^/]+(?=/)~', '', $url);
    }

    private function more(): string
    {
        return match ($this->more) {
            0 => '',
            1 => ' and one more keyword',
            default => " and {$this->more} more keywords",
        };
    }

    private function aim(): string
    {
        return $this->target === null ? '' : ", aiming for position {$this->target}";
    }

    private function way(): string
    {
        return match (true) {
            $this->target === null => '',
            $this->position === null => $this->aim(),
            default => ", from position {$this->position} to {$this->target}",
        };
    }
}
