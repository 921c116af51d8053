package org.undanus.server.account;

import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.undanus.server.store.Digest;

@Mapper
interface AccountMapper {

    record AccountRow(String name, String title, String passwordHash, Role role, String crew) {
        AccountState state() {
            return new AccountState(name, title, Digest.sha256(passwordHash), role, crew);
        }
    }

    /** As the journal keeps it: of the password's hash its digest. */
    record AccountState(String name, String title, String password, Role role, String crew) {}

    @Select("SELECT name, title, password_hash, role, crew FROM app_user WHERE name = #{name}")
    AccountRow find(String name);

    @Select("SELECT name, title, password_hash, role, crew FROM app_user ORDER BY name")
    List<AccountRow> all();

    @Select("SELECT COUNT(*) FROM app_user")
    int count();

    @Insert("INSERT INTO app_user (name, title, password_hash, role, crew)"
            + " VALUES (#{name}, #{title}, #{passwordHash}, #{role}, #{crew})")
    void insert(AccountRow account);
}
