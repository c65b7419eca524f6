<?php

declare(strict_types=1);

namespace App\Mail;

use App\Actions\Digest\DigestQuery;
use App\Models\DigestSubscription;
use App\Models\Study;
use Carbon\CarbonImmutable;
use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;
use Illuminate\Mail\Mailables\Headers;
use Illuminate\Support\Facades\URL;

/**
 * Tells that a month is in. Ended with one click, also by the mail program itself (RFC 8058).
 *
 * @phpstan-import-type Digest from DigestQuery
 */
final class DigestMail extends Mailable
{
    public const ROUTE = 'digest.end';

    /** @param Digest $digest */
    public function __construct(
        private readonly Study $study,
        private readonly array $digest,
        private readonly DigestSubscription $subscription,
    ) {
    }

    public function envelope(): Envelope
    {
        return new Envelope(subject: "{$this->study->name}: rankings of {$this->day()} are in");
    }

    public function headers(): Headers
    {
        return new Headers(text: [
            'List-Unsubscribe' => '<'.$this->end().'>',
            'List-Unsubscribe-Post' => 'List-Unsubscribe=One-Click',
        ]);
    }

    public function content(): Content
    {
        return new Content(view: 'mail.digest', text: 'mail.digest-text', with: [
            'study' => $this->study,
            'day' => $this->day(),
            'sections' => array_filter([
                'What stands out' => $this->digest['findings'],
                'What moved' => $this->digest['moved'],
                'Late' => $this->digest['late'],
                'Reached' => $this->digest['reached'],
            ], static fn(array $lines): bool => $lines !== []),
            'address' => url("/{$this->study->slug}/findings"),
            'end' => $this->end(),
        ]);
    }

    private function day(): string
    {
        return CarbonImmutable::parse($this->digest['day'])->format('j M Y');
    }

    private function end(): string
    {
        return url(URL::signedRoute(self::ROUTE, ['subscription' => $this->subscription->id], absolute: false));
    }
}
