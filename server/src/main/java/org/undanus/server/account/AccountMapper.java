package org.undanus.server.account;

import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface AccountMapper {

    record AccountRow(String name, String title, String passwordHash, Role role, String crew) {}

    @Select("SELECT name, title, password_hash, role, crew FROM app_user WHERE name = #{name}")
    AccountRow find(String name);

    @Select("SELECT COUNT(*) FROM app_user")
    int count();

    @Insert("INSERT INTO app_user (name, title, password_hash, role, crew)"
            + " VALUES (#{name}, #{title}, #{passwordHash}, #{role}, #{crew})")
    void insert(AccountRow account);
}
