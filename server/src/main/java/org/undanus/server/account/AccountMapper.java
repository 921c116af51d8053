package org.undanus.server.account;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.undanus.server.store.Digest;

@Mapper
interface AccountMapper {

    /**
     * @param secondFactor its secret, null where there is none
     * @param version how often it was changed
     */
    record AccountRow(
            String name,
            String title,
            String passwordHash,
            Role role,
            String crew,
            boolean active,
            String secondFactor,
            int version) {
        AccountState state() {
            return new AccountState(
                    name,
                    title,
                    Digest.sha256(passwordHash),
                    role,
                    crew,
                    active ? Optional.empty() : Optional.of(true),
                    Optional.ofNullable(secondFactor).map(Digest::sha256),
                    Optional.of(version).filter(changed -> changed > 0));
        }

        AccountRow with(String newSecondFactor) {
            return new AccountRow(name, title, passwordHash, role, crew, active, newSecondFactor, version);
        }

        AccountRow withPassword(String hash) {
            return new AccountRow(name, title, hash, role, crew, active, secondFactor, version);
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
     * @param version left out before it was changed first
     */
    record AccountState(
            String name,
            String title,
            String password,
            Role role,
            String crew,
            Optional<Boolean> off,
            Optional<String> secondFactor,
            Optional<Integer> version) {}

    String ROW = "SELECT name, title, password_hash, role, crew, active, second_factor, version FROM app_user ";

    @Select(ROW + "WHERE name = #{name}")
    AccountRow find(String name);

    /** As it is committed now, whatever this transaction read before. */
    @Options(flushCache = Options.FlushCachePolicy.TRUE)
    @Select(ROW + "WHERE name = #{name}")
    AccountRow findNow(String name);

    @Select(ROW + "ORDER BY name")
    List<AccountRow> all();

    @Select("SELECT COUNT(*) FROM app_user")
    int count();

    @Insert("INSERT INTO app_user (name, title, password_hash, role, crew, active, second_factor)"
            + " VALUES (#{name}, #{title}, #{passwordHash}, #{role}, #{crew}, #{active}, #{secondFactor})")
    void insert(AccountRow account);

    /**
     * Where it is still the version that was read.
     *
     * @return 0 where it was changed meanwhile
     */
    @Update("UPDATE app_user SET title = #{title}, password_hash = #{passwordHash}, role = #{role}, crew = #{crew},"
            + " active = #{active}, second_factor = #{secondFactor}, version = version + 1"
            + " WHERE name = #{name} AND version = #{version}")
    int update(AccountRow account);
}
