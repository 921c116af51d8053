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

    record AccountRow(String name, String title, String passwordHash, Role role, String crew, boolean active) {
        AccountState state() {
            return new AccountState(
                    name,
                    title,
                    Digest.sha256(passwordHash),
                    role,
                    crew,
                    active ? Optional.empty() : Optional.of(true));
        }

        Person person() {
            return new Person(name, title, role, Optional.ofNullable(crew));
        }
    }

    /**
     * As the journal keeps it: of the password's hash its digest.
     *
     * @param off left out where it is not, as before accounts could be switched off
     */
    record AccountState(String name, String title, String password, Role role, String crew, Optional<Boolean> off) {}

    @Select("SELECT name, title, password_hash, role, crew, active FROM app_user WHERE name = #{name}")
    AccountRow find(String name);

    @Select("SELECT name, title, password_hash, role, crew, active FROM app_user ORDER BY name")
    List<AccountRow> all();

    @Select("SELECT COUNT(*) FROM app_user")
    int count();

    @Insert("INSERT INTO app_user (name, title, password_hash, role, crew, active)"
            + " VALUES (#{name}, #{title}, #{passwordHash}, #{role}, #{crew}, #{active})")
    void insert(AccountRow account);

    @Update("UPDATE app_user SET title = #{title}, password_hash = #{passwordHash}, role = #{role}, crew = #{crew},"
            + " active = #{active} WHERE name = #{name}")
    void update(AccountRow account);
}
