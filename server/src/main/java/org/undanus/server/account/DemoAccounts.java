package org.undanus.server.account;

import java.util.List;
import java.util.Optional;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** Accounts of the invented borough. They exist in demo mode only, and the sign-in page lists them. */
@Component
@ConditionalOnProperty("undanus.demo")
public class DemoAccounts {

    /** An account with its password, for all to see. */
    public record Account(String name, String password, String title) {}

    /** Who walks the demo's visits. */
    public static final Person INSPECTOR = new Person("inspector", "Inspector", Role.INSPECTOR, Optional.empty());

    private static final List<Person> PEOPLE = List.of(
            INSPECTOR,
            new Person("lead", "Quality lead", Role.QUALITY_LEAD, Optional.empty()),
            new Person("nettlebank", "Crew lead Nettlebank", Role.CREW, Optional.of("Nettlebank Mechanical")),
            new Person("dunmarrow", "Crew lead Dunmarrow", Role.CREW, Optional.of("Dunmarrow Services")),
            new Person("threeways", "Crew lead Threeways", Role.CREW, Optional.of("Threeways Cooling")));

    private final Accounts accounts;

    DemoAccounts(Accounts accounts) {
        this.accounts = accounts;
    }

    public List<Account> accounts() {
        return PEOPLE.stream()
                .map(p -> new Account(p.name(), password(p), p.title()))
                .toList();
    }

    /** Makes them where they are not there yet. */
    public void ensure(String by) {
        if (accounts.none()) {
            PEOPLE.forEach(person -> accounts.add(person, password(person), by));
        }
    }

    /** Whether an account with a public password is there. */
    public static boolean among(Accounts accounts) {
        return PEOPLE.stream().anyMatch(person -> accounts.check(person.name(), password(person))
                .isPresent());
    }

    private static String password(Person person) {
        return person.name() + "-demo";
    }
}
