<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Support\OneTime\Totp;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

/** An administrator invites somebody, who chooses a password, sets up a second factor and is asked for it from then on. */
final class PeopleTest extends BrowserTestCase
{
    private const PASSWORD = 'hive and heather 7';

    public function test_somebody_is_invited_and_signs_in_with_a_second_factor(): void
    {
        $email = 'wren-'.bin2hex(random_bytes(3)).'@quillfair.example';
        $this->signIn($this->makeUser(true)->email, 'correct horse');
        $link = $this->invite($email);
        $this->signOut();

        $this->browser->get($link);
        $this->see('Welcome, Wren Sedge');
        $this->find('input[type=password]')->sendKeys(self::PASSWORD.WebDriverKeys::ENTER);
        $this->see('Your password is set.');
        $this->signIn($email, self::PASSWORD);
        $this->see('No studies yet');

        $totp = $this->setUpFactor();
        $this->signOut();
        $this->visit('/sign-in');
        $this->find('[name="email"]')->sendKeys($email);
        $this->find('[name="password"]')->sendKeys(self::PASSWORD.WebDriverKeys::ENTER);
        $this->find('[name="code"]')->sendKeys('000000'.WebDriverKeys::ENTER);
        $this->see('wrong, expired or already used');
        // The code that confirmed it was taken; the next one holds already.
        $this->find('[name="code"]')->clear()->sendKeys($totp->at(time() + Totp::PERIOD).WebDriverKeys::ENTER);
        $this->see('No studies yet');

        $this->visit('/people');
        $this->see('can manage accounts');
    }

    private function invite(string $email): string
    {
        $this->visit('/people');
        $this->clickText('Invite a person');
        $this->find('[role=dialog] input')->sendKeys('Wren Sedge');
        $this->find('[role=dialog] input[type=email]')->sendKeys($email);
        $this->clickText('Can create studies');
        $this->clickText('Create link');
        $link = $this->find('[role=dialog] code')->getText();
        $this->clickText('Close');
        $this->see($email);

        return $link;
    }

    private function setUpFactor(): Totp
    {
        $this->click('button[aria-haspopup="menu"]');
        $this->clickText('Sign-in and security');
        $this->clickText('Set up an authenticator');
        $totp = Totp::ofSecret(str_replace(' ', '', $this->find('[role=dialog] code')->getText()));
        $this->find('[autocomplete="one-time-code"]')->sendKeys($totp->at(time()).WebDriverKeys::ENTER);
        $this->see('see them again');
        self::assertCount(10, $this->browser->findElements(WebDriverBy::cssSelector('[role=dialog] ul li')));
        $this->clickText('I saved them');
        $this->see('To turn this off, enter your password');
        $this->clickText('Close');

        return $totp;
    }

    private function signOut(): void
    {
        $this->click('button[aria-haspopup="menu"]');
        $this->clickText('Sign out');
        $this->find('[name="email"]');
    }
}
