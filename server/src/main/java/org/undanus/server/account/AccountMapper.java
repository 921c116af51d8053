package org.undanus.server.account;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.undanus.server.store.Digest;

@Mapper
interface AccountMapper {

    /** @param secondFactor its secret, null where there is none */
    record AccountRow(
            String name,
            String title,
            String passwordHash,
            Role role,
            String crew,
            boolean active,
            String secondFactor) {
        AccountState state() {
            return new AccountState(
                    name,
                    title,
                    Digest.sha256(passwordHash),
                    role,
                    crew,
                    active ? Optional.empty() : Optional.of(true),
                    Optional.ofNullable(secondFactor).map(Digest::sha256));
        }

        Person person() {
            return new Person(name, title, role, Optional.ofNullable(crew));
        }
    }

    /**
     * As the journal keeps it: of the password's hash its digest.
     *
     * @param off left out where it is not, as before accounts could be switched off
     * @param secondFactor digest of its secret, left out where there is none
     */
    record AccountState(
            String name,
            String title,
            String password,
            Role role,
            String crew,
            Optional<Boolean> off,
            Optional<String> secondFactor) {}

    @Select("SELECT name, title, password_hash, role, crew, active, second_factor FROM app_user WHERE name = #{name}")
    AccountRow find(String name);

    @Select("SELECT name, title, password_hash, role, crew, active, second_factor FROM app_user ORDER BY name")
    List<AccountRow> all();

    @Select("SELECT COUNT(*) FROM app_user")
    int count();

    @Insert("INSERT INTO app_user (name, title, password_hash, role, crew, active, second_factor)"
            + " VALUES (#{name}, #{title}, #{passwordHash}, #{role}, #{crew}, #{active}, #{secondFactor})")
    void insert(AccountRow account);

    @Update("UPDATE app_user SET title = #{title}, password_hash = #{passwordHash}, role = #{role}, crew = #{crew},"
            + " active = #{active}, second_factor = #{secondFactor} WHERE name = #{name}")
    void update(AccountRow account);
}
